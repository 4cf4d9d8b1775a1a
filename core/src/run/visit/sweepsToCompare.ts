/** As much of a sweep in a list as is looked at here. */
interface ListedSweep {
  id: string;
  birth: boolean;
  /** Empty for the whole run. */
  pieceId: string;
  /** What was at the far end. */
  far: string;
  /** ISO 8601. */
  at: string;
}

/**
 * The birth record to compare with, of the whole run where there is one, and the newest sweep of the same thing with the same far end.
 *
 * @param all in any order
 */
export function sweepsToCompare<One extends ListedSweep>(
  all: readonly One[],
): { birth: One | undefined; last: One | undefined } {
  const births = all.filter((one) => one.birth);
  const birth = births.find(({ pieceId }) => pieceId === '') ?? births.at(0);
  if (!birth) return { birth, last: undefined };
  const { pieceId, far, at } = birth;
  const later = all.filter((one) => one.pieceId === pieceId && one.far === far && one.at > at);
  return { birth, last: later.toSorted((x, y) => x.at.localeCompare(y.at)).at(-1) };
}
