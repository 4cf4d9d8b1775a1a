/** Something which somebody did at a run: an entry of its log, or a sweep. */
interface Done {
  by: string;
  /** ISO 8601. */
  at: string;
}

/** When somebody was at a run before today. */
export interface LastVisit<One extends Done> {
  /** ISO 8601. */
  at: string;
  /** Who did something on that day, each once. */
  by: string[];
  /** What was done on that day, in order. */
  done: One[];
}

const dayOf = (at: string): string => at.slice(0, 10);

/**
 * The last day before this one on which something was done at a run.
 *
 * @param all entries of its log, and sweeps, in any order
 * @param now ISO 8601
 * @returns nothing where nobody was there before
 */
export function lastVisit<One extends Done>(all: readonly One[], now: string): LastVisit<One> | undefined {
  const before = all.filter(({ at }) => dayOf(at) < dayOf(now)).toSorted((x, y) => x.at.localeCompare(y.at));
  const last = before.at(-1);
  if (!last) return undefined;
  const done = before.filter(({ at }) => dayOf(at) === dayOf(last.at));
  return { at: last.at, by: [...new Set(done.map(({ by }) => by).filter((by) => by !== ''))], done };
}
