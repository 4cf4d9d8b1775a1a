import { entry } from '../../catalog/index.js';
import type { Finding, SnagRule } from './snag.js';

/** The tightest bend of each leg against the cable in it: once, or flexed in a rotator loop. Source: cable data. */
export const bendRadius: SnagRule = ({ design, catalog, layout, route }) =>
  route.spans.flatMap((span): Finding[] => {
    const leg = design.legs[span.leg];
    if (leg.bendRadiusMm === undefined) return [];
    const bendMm = leg.bendRadiusMm;
    return layout.pieces.flatMap(({ piece, fromM, toM }): Finding[] => {
      if (piece.kind !== 'assembly' || fromM >= span.toM || toM <= span.fromM) return [];
      const cable = entry(catalog.cables, piece.cable);
      const flexes = leg.kind === 'rotator loop';
      const least = flexes ? cable.bendRepeatedMm : cable.bendOnceMm;
      if (bendMm >= least) return [];
      return [
        {
          rule: 'bend',
          of: `${piece.id}.${leg.id}`,
          level: 'caution',
          stage: 'route',
          at: piece.id,
          distanceM: span.fromM,
          what: `Bent too tight in ${leg.name}`,
          why: `${bendMm} mm radius; ${cable.name} takes ${least} mm ${flexes ? 'when flexed' : 'once'}.`,
          remedies: [
            {
              title: `Widen the bend to ${least} mm`,
              detail: leg.name,
              changes: [
                {
                  op: 'set legs',
                  legs: design.legs.map((other) => (other === leg ? { ...leg, bendRadiusMm: least } : other)),
                },
              ],
            },
          ],
          source: cable.source,
        },
      ];
    });
  });
