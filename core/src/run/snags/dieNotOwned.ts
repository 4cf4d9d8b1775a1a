import { entry, type Part } from '../../catalog/index.js';
import type { Snag, SnagRule } from '../snag.js';
import { article } from '../waysToJoin.js';
import { partsFor } from '../../fit/index.js';

/** Dies across flats closer than this are the same die, mm. */
const SAME_MM = 0.06;

/** A ferrule whose hex die the shop does not own. Source: the shop’s own list of dies. */
export const dieNotOwned: SnagRule = ({ catalog, layout, practice, facts }) => {
  const { diesMm } = practice;
  if (!diesMm) return [];
  const owned = ({ hexMm }: Part): boolean =>
    hexMm === null || diesMm.some((die) => Math.abs(die - hexMm) <= SAME_MM);
  return layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    return (['a', 'b'] as const).flatMap((end): Snag[] => {
      const part = entry(catalog.parts, piece[end].part);
      const made = facts.log.some(({ kind, about }) => kind === 'end made' && about === `${piece.id}.${end}`);
      if (owned(part) || made) return [];
      const nearest = diesMm.toSorted(
        (x, y) => Math.abs(x - (part.hexMm ?? 0)) - Math.abs(y - (part.hexMm ?? 0)),
      )[0];
      const others = partsFor(
        entry(catalog.cables, piece.cable),
        [...catalog.parts.values()].filter((other) => other.face === part.face && owned(other)),
      );
      return [
        {
          id: `die@${piece.id}.${end}`,
          level: 'caution',
          stage: 'make',
          at: piece.id,
          distanceM: end === 'a' ? fromM : toM,
          what: `No ${part.hexMm} mm die for ${part.name}`,
          why: `Its ferrule closes with a hex of ${part.hexMm} mm${diesMm.length > 0 ? `; the nearest you own is ${nearest} mm` : ''}.`,
          remedies: others.slice(0, 3).map((other) => ({
            title: `Take ${article(other.name)}`,
            detail: `${other.hexMm === null ? 'needs no die' : `${other.hexMm} mm die`} · ${other.minutes} min`,
            changes: [{ op: 'set piece', piece: { ...piece, [end]: { part: other.id } } }],
          })),
          source: 'the shop’s list of dies; part dimensions',
        },
      ];
    });
  });
};
