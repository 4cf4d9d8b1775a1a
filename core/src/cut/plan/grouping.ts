import { SAW_M, type Span, type WantedPiece } from './stock.js';

/** Pieces that are alike for a plan: same length, same set, same lot. Lengths in whole mm, the saw’s cut in it. */
export interface PieceGroup {
  lengthMm: number;
  set: string;
  lot: string;
  pieces: WantedPiece[];
}

/** How many of each group are cut from each span: `counts[group][span]`. */
export type Counts = number[][];

const mmOf = (metres: number): number => Math.ceil(metres * 1000 - 1e-6);

/** Groups, longest first. */
export function groupsOf(pieces: readonly WantedPiece[]): PieceGroup[] {
  const groups = new Map<string, PieceGroup>();
  for (const piece of pieces) {
    const lengthMm = mmOf(piece.lengthM + SAW_M);
    const key = `${lengthMm} ${piece.lot} ${piece.set}`;
    const known = groups.get(key);
    if (known) known.pieces.push(piece);
    else groups.set(key, { lengthMm, set: piece.set, lot: piece.lot, pieces: [piece] });
  }
  return [...groups.values()].sort((x, y) => y.lengthMm - x.lengthMm);
}

/** Sound length as it was measured, whole mm, never rounded up. */
export const soundMm = ({ lengthM }: Span): number => Math.floor(lengthM * 1000 + 1e-6);

/** From here on a tape gives a stretch to a centimetre. Common practice, no source. */
const LONG_M = 10;
const LONG_TAPE_MM = 10;

/**
 * What a stretch holds, whole mm, each piece counted with its saw cut: the last piece needs none, and a long stretch is only known to a
 * centimetre, so that 25 and 12 m are never refused on 37 m.
 */
export const spanMm = ({ lengthM }: Span): number =>
  Math.floor((lengthM + SAW_M) * 1000 + 1e-6) + (lengthM >= LONG_M ? LONG_TAPE_MM : 0);

/** May a group be cut from a span? A lot nobody knows is no lot anyone asked for. */
export const allowed = (group: PieceGroup, span: Span): boolean =>
  (group.lot === '' || group.lot === span.lot) && group.lengthMm <= spanMm(span);

/** Length taken from each span, mm. */
export const takenMm = (groups: readonly PieceGroup[], counts: Counts, spans: readonly Span[]): number[] =>
  spans.map((_, b) => groups.reduce((sum, group, t) => sum + group.lengthMm * counts[t][b], 0));

/** Lots by name, a span whose lot nobody knows being a lot of its own. */
export const lotKey = (span: Span, at: number): string => (span.lot === '' ? `unknown ${at}` : span.lot);
