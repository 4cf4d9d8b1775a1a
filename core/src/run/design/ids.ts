/** How the places of a run are called in facts, problems and addresses: nobody else splits or glues them. */

export type EndSide = 'a' | 'b';
export const endSides: readonly EndSide[] = ['a', 'b'];

/** One end of an assembly: `main.a`. */
export const endId = (pieceId: string, side: EndSide): string => `${pieceId}.${side}`;

/** Both ends of an assembly. */
export const endIdsOf = (pieceId: string): string[] => endSides.map((side) => endId(pieceId, side));

/** The other end of the same assembly. */
export const otherSide = (side: EndSide): EndSide => (side === 'a' ? 'b' : 'a');

/** A spare of an end, made in a batch beside the run’s own: `main.a#3`. */
export const batchEndId = (end: string, piece: number): string => `${end}#${piece}`;

/** The end a batch’s piece was made for, and its number; none for an end of the run itself. */
export function readBatchEndId(id: string): { end: string; piece?: number } {
  const [end, piece] = id.split('#');
  return piece === undefined ? { end } : { end, piece: Number(piece) };
}

/** A joint by its two neighbours: `radio>main`. Without a piece a port stands there. */
export const jointId = (left: string | undefined, right: string | undefined): string =>
  `${left ?? 'radio'}>${right ?? 'antenna'}`;
