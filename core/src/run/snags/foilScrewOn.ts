import { braidMm, entry, faceOf, type Style } from '../../catalog/index.js';
import { endId, endSides } from '../design/ids.js';
import type { MildFinding, MildRule } from './snag.js';
import { article, partsToMeet } from '../edit/waysToJoin.js';

/** Styles which fold the braid back and turn a body over it. */
const turning = new Set<Style>(['screw-on', 'reducer']);

/** Foil bonded under the braid tears and wrinkles when a body is screwed over it. Common practice, no source. */
export const foilScrewOn: MildRule = ({ catalog, layout }) =>
  layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    if (cable.shieldKind !== 'foil and braid') return [];
    return endSides.flatMap((end): MildFinding[] => {
      const part = entry(catalog.parts, piece[end].part);
      if (!turning.has(part.style)) return [];
      const { series, body, contact, impedanceOhm } = faceOf(part.face);
      const meets = faceOf(part.face);
      const others = partsToMeet(
        {
          series,
          impedanceOhm,
          body: body === 'plug' ? 'jack' : 'plug',
          contact: contact === 'pin' ? 'socket' : 'pin',
          ...(meets.thinPin ? { thinPin: true } : {}),
        },
        piece.cable,
        catalog,
      ).filter(({ style }) => !turning.has(style));
      return [
        {
          rule: 'foil-screw-on',
          of: endId(piece.id, end),
          level: 'caution',
          stage: 'make',
          at: piece.id,
          distanceM: end === 'a' ? fromM : toM,
          what: `${cable.name} has foil under its braid; ${part.name} turns over it`,
          why: `The body turns over ${part.foldBackMm} mm of folded braid of ${braidMm(cable).toFixed(1)} mm; bonded foil wrinkles under it and may touch the centre.`,
          remedies: others.slice(0, 2).map((other) => ({
            title: `Take ${article(other.name)}`,
            detail: `does not turn on the cable · ${other.minutes} min`,
            changes: [{ op: 'set piece', piece: { ...piece, [end]: { part: other.id } } }],
          })),
          source: 'common practice, no source',
        },
      ];
    });
  });
