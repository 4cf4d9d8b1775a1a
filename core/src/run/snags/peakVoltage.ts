import { entry, faceName, seriesById } from '../../catalog/index.js';
import type { Along } from '../../line/index.js';
import { formatPower } from '../../quantity/index.js';
import type { Remedy, Snag, SnagContext, SnagRule } from './snag.js';

/** Highest envelope between two places of the ruler over all edges of the bands, V peak. */
function highestV(edges: readonly Along[], fromM: number, toM: number): number {
  let highest = 0;
  for (const { distanceM, envelopeV } of edges) {
    for (let k = 0; k < distanceM.length; k++) {
      if (distanceM[k] >= fromM - 1e-9 && distanceM[k] <= toM + 1e-9)
        highest = Math.max(highest, envelopeV[k]);
    }
  }
  return highest;
}

/** Voltage at a standing-wave maximum against the rating of the series and of the cable. Forward power. */
export const peakVoltage: SnagRule = (context) => {
  const { layout, catalog, edges } = context;
  const joints = layout.joints.flatMap((joint): Snag[] => {
    const face =
      seriesById[joint.left.series].peakVoltage <= seriesById[joint.right.series].peakVoltage
        ? joint.left
        : joint.right;
    const { peakVoltage: rating, standard } = seriesById[face.series];
    return snagAbove(
      context,
      `peak-voltage@${joint.id}`,
      joint.id,
      joint.atM,
      faceName(face),
      highestV(edges, joint.atM, joint.atM),
      rating,
      standard,
    );
  });
  const cables = layout.pieces.flatMap(({ piece, fromM, toM }): Snag[] => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    return snagAbove(
      context,
      `peak-voltage@${piece.id}`,
      piece.id,
      fromM,
      cable.name,
      highestV(edges, fromM, toM),
      cable.maxVoltageRms * Math.SQRT2,
      cable.source,
    );
  });
  return [...joints, ...cables];
};

function snagAbove(
  { design }: SnagContext,
  id: string,
  at: string,
  distanceM: number,
  what: string,
  volts: number,
  rating: number,
  source: string,
): Snag[] {
  if (volts <= rating) return [];
  const powerW = Math.floor(design.service.powerW * (rating / volts) ** 2);
  const less: Remedy = {
    title: `Turn the transmitter down to ${formatPower(powerW)}`,
    detail: 'forward power',
    changes: [{ op: 'set service', service: { powerW } }],
  };
  return [
    {
      id,
      level: 'stop',
      stage: 'plan',
      at,
      distanceM,
      what: `${what} over its voltage`,
      why: `${Math.round(volts)} V peak at a standing-wave maximum with ${formatPower(design.service.powerW)} forward; rated ${Math.round(rating)} V.`,
      remedies: [less],
      source,
    },
  ];
}
