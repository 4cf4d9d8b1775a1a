import { entry } from '../../catalog/index.js';
import { betterCables } from '../edit/betterCables.js';
import type { MildFinding, MildRule } from './snag.js';

/** A solid centre conductor where the cable must flex breaks in the end. Common practice, no source. */
export const flexingCentre: MildRule = ({ design, catalog, layout, route, topHz }) =>
  route.spans.flatMap((span): MildFinding[] => {
    const leg = design.legs[span.leg];
    if (leg.kind !== 'rotator loop') return [];
    return layout.pieces.flatMap(({ piece, fromM, toM }): MildFinding[] => {
      if (piece.kind !== 'assembly' || fromM >= span.toM || toM <= span.fromM) return [];
      const cable = entry(catalog.cables, piece.cable);
      if (cable.centreKind !== 'solid') return [];
      return [
        {
          rule: 'flexing-centre',
          of: `${piece.id}.${leg.id}`,
          level: 'caution',
          stage: 'plan',
          at: piece.id,
          distanceM: Math.max(fromM, span.fromM),
          what: `${cable.name} flexes in ${leg.name}`,
          why: `Its centre is one solid ${cable.centreMm} mm wire over ${leg.lengthM} m that turn; a stranded one takes it.`,
          remedies: betterCables(piece, catalog, topHz, ({ centreKind }) => centreKind === 'stranded'),
          source: 'common practice, no source',
        },
      ];
    });
  });
