import { entry, faceName, seriesById } from '../../catalog/index.js';
import { firstFrom, type Along } from '../../line/index.js';
import { formatPower } from '../../quantity/index.js';
import { lessPower } from '../edit/lessPower.js';
import type { Finding, SnagContext, SnagRule } from './snag.js';

/** Highest envelope between two places of the ruler over everything that is looked at, V peak. */
function highestV(edges: readonly Along[], fromM: number, toM: number): number {
  let highest = 0;
  for (const edge of edges) {
    const { distanceM, envelopeV } = edge;
    for (let k = firstFrom(edge, fromM - SAME_M); distanceM[k] <= toM + SAME_M; k++)
      if (envelopeV[k] > highest) highest = envelopeV[k];
  }
  return highest;
}

/** What everything in the run bears, V peak. */
const leastRatingV = ({ layout, catalog }: SnagContext): number =>
  Math.min(
    ...layout.joints.flatMap(({ left, right }) =>
      [left, right].map(({ series }) => seriesById[series].peakVoltage),
    ),
    ...layout.pieces.map(({ piece }) =>
      piece.kind === 'assembly' ? entry(catalog.cables, piece.cable).peakRfV : Infinity,
    ),
  );

/** Places which are nearer are the same one, m. */
const SAME_M = 1e-9;

/** Voltage at a standing-wave maximum against the rating of the series and of the cable. Forward power. */
export const peakVoltage: SnagRule = (context) => {
  const { layout, catalog, edges } = context;
  const bearable = leastRatingV(context);
  // As a rule the whole run bears the highest voltage in it, and no place has to be looked at.
  if (edges.every(({ envelopeV }) => envelopeV.every((volts) => volts <= bearable))) return [];
  const joints = layout.joints.flatMap((joint): Finding[] => {
    const face =
      seriesById[joint.left.series].peakVoltage <= seriesById[joint.right.series].peakVoltage
        ? joint.left
        : joint.right;
    const { peakVoltage: rating, standard } = seriesById[face.series];
    return findingAbove(context, {
      at: joint.id,
      distanceM: joint.atM,
      what: faceName(face),
      volts: highestV(edges, joint.atM, joint.atM),
      rating,
      source: standard,
    });
  });
  const cables = layout.pieces.flatMap(({ piece, fromM, toM }): Finding[] => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    return findingAbove(context, {
      at: piece.id,
      distanceM: fromM,
      what: cable.name,
      volts: highestV(edges, fromM, toM),
      rating: cable.peakRfV,
      source: cable.source,
    });
  });
  return [...joints, ...cables];
};

interface Rated {
  at: string;
  distanceM: number;
  what: string;
  volts: number;
  rating: number;
  source: string;
}

function findingAbove({ design }: SnagContext, rated: Rated): Finding[] {
  const { at, distanceM, what, volts, rating, source } = rated;
  if (volts <= rating) return [];
  return [
    {
      rule: 'peak-voltage',
      of: at,
      level: 'stop',
      stage: 'plan',
      at,
      distanceM,
      what: `${what} over its voltage`,
      why: `${Math.round(volts)} V peak at a standing-wave maximum with ${formatPower(design.service.powerW)} forward; rated ${Math.round(rating)} V.`,
      remedies: lessPower(design.service.powerW * (rating / volts) ** 2),
      source,
    },
  ];
}
