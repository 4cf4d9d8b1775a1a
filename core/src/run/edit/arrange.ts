import type { Change } from '../design/change.js';
import type { AnyPiece, Design } from '../design/design.js';
import { turned } from './waysToJoin.js';

/** Changes which put the pieces of a run in another order or turn them; each is one undoable step. */

/** A piece at another place among the others; nothing when it stands there already or is gone. */
export function movePiece({ pieces }: Design, id: string, toIndex: number): Change[] {
  const from = pieces.findIndex((piece) => piece.id === id);
  const to = Math.max(0, Math.min(toIndex, pieces.length - 1));
  if (from < 0 || from === to) return [];
  const order = [...pieces];
  const [moved] = order.splice(from, 1);
  order.splice(to, 0, moved);
  const at = Math.min(from, to);
  const count = Math.abs(from - to) + 1;
  return [{ op: 'splice pieces', at, remove: count, insert: order.slice(at, at + count) }];
}

/** A piece the other way round. */
export const turnPiece = (piece: AnyPiece): Change[] => [{ op: 'set piece', piece: turned(piece) }];

/** A piece taken out. */
export function removePiece({ pieces }: Design, id: string): Change[] {
  const at = pieces.findIndex((piece) => piece.id === id);
  return at < 0 ? [] : [{ op: 'splice pieces', at, remove: 1, insert: [] }];
}

/**
 * The place a piece would take when its middle is dropped at a distance.
 *
 * @param placed the pieces as they lie, m from the radio
 * @returns index among the pieces without the dragged one
 */
export function dropIndex(
  placed: readonly { id: string; fromM: number; toM: number }[],
  id: string,
  middleM: number,
): number {
  return placed.filter((piece) => piece.id !== id && (piece.fromM + piece.toM) / 2 < middleM).length;
}
