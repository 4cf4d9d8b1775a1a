import { entry, type Cable } from '../../catalog/index.js';
import type { LegKind } from '../../route/index.js';
import type { MildFinding, MildRule } from './snag.js';

/** A cable which is pulled round a bend asks for so many times the radius it may rest in. Common practice, no source. */
const PULLED_FACTOR = 2;

/** The least radius a cable takes on a leg, and how it is bent there: once, while it is pulled through a duct, or again and again. */
function leastBend(kind: LegKind, { bendOnceMm, bendRepeatedMm }: Cable): { leastMm: number; how: string } {
  if (kind === 'rotator loop') return { leastMm: bendRepeatedMm, how: 'when flexed' };
  if (kind === 'duct') return { leastMm: PULLED_FACTOR * bendOnceMm, how: 'while it is pulled' };
  return { leastMm: bendOnceMm, how: 'once' };
}

/** The tightest bend of each leg against the cable in it. Source: cable data. */
export const bendRadius: MildRule = ({ design, catalog, layout, route }) =>
  route.spans.flatMap((span): MildFinding[] => {
    const leg = design.legs[span.leg];
    if (leg.bendRadiusMm === undefined) return [];
    const bendMm = leg.bendRadiusMm;
    return layout.pieces.flatMap(({ piece, fromM, toM }): MildFinding[] => {
      if (piece.kind !== 'assembly' || fromM >= span.toM || toM <= span.fromM) return [];
      const cable = entry(catalog.cables, piece.cable);
      const { leastMm, how } = leastBend(leg.kind, cable);
      if (bendMm >= leastMm) return [];
      return [
        {
          rule: 'bend',
          of: `${piece.id}.${leg.id}`,
          level: 'caution',
          stage: 'route',
          at: piece.id,
          distanceM: span.fromM,
          what: `Bent too tight in ${leg.name}`,
          why: `${bendMm} mm radius; ${cable.name} takes ${leastMm} mm ${how}.`,
          remedies: [
            {
              title: `Widen the bend to ${leastMm} mm`,
              detail: leg.name,
              changes: [
                {
                  op: 'set legs',
                  legs: design.legs.map((other) =>
                    other === leg ? { ...leg, bendRadiusMm: leastMm } : other,
                  ),
                },
              ],
            },
          ],
          source: cable.source,
        },
      ];
    });
  });
