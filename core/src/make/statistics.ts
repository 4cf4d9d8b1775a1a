/** One end that was made, or that failed. */
export interface EndOutcome {
  part: string;
  recipe: string;
  person: string;
  outcome: 'made' | 'failed';
  /** Of a failed end. */
  cause?: string;
  /** Cable it cost, m. */
  lostM?: number;
}

/** What the ends of one part, recipe or person have in common. */
export interface Tally {
  key: string;
  made: number;
  failed: number;
  /** Share of tries which failed, with the interval in which it truly lies, 95 %. */
  share: { value: number; low: number; high: number };
  lostM: number;
  /** Most frequent first. */
  causes: { cause: string; count: number }[];
  /** Does it fail more, or less, than all the others by more than chance? */
  against: 'more' | 'less' | 'alike';
}

/** Normal quantile of a two-sided 95 % interval. */
const Z_95 = 1.959964;

/**
 * Interval of a share by Wilson's score method, without continuity correction.
 *
 * @param hits failures, 0..tries
 * @returns lower and upper limit; 0 to 1 when nothing was tried
 * Source: E. B. Wilson, J. Am. Stat. Assoc. 22 (1927); R. G. Newcombe, Statistics in Medicine 17 (1998), method 3.
 */
export function wilson(hits: number, tries: number, z = Z_95): { low: number; high: number } {
  if (tries === 0) return { low: 0, high: 1 };
  const share = hits / tries;
  const middle = (share + z ** 2 / (2 * tries)) / (1 + z ** 2 / tries);
  const half =
    (z / (1 + z ** 2 / tries)) * Math.sqrt((share * (1 - share)) / tries + z ** 2 / (4 * tries ** 2));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/**
 * Interval of the difference of two shares, first minus second.
 * Source: Newcombe, Statistics in Medicine 17 (1998) 873-890, method 10.
 */
export function shareDifference(
  a: { hits: number; tries: number },
  b: { hits: number; tries: number },
): { low: number; high: number } {
  const shareOf = ({ hits, tries }: { hits: number; tries: number }): number =>
    tries === 0 ? 0 : hits / tries;
  const [pa, pb] = [shareOf(a), shareOf(b)];
  const [wa, wb] = [wilson(a.hits, a.tries), wilson(b.hits, b.tries)];
  return {
    low: pa - pb - Math.hypot(pa - wa.low, wb.high - pb),
    high: pa - pb + Math.hypot(wa.high - pa, pb - wb.low),
  };
}

/**
 * Failures and their causes by part, recipe or person; what fails most comes first.
 *
 * A key stands against all others together: `more` or `less` only where the 95 % interval of the difference leaves zero out.
 */
export function tally(outcomes: readonly EndOutcome[], by: 'part' | 'recipe' | 'person'): Tally[] {
  const groups = grouped(outcomes, (one) => one[by]);
  const failedIn = (some: readonly EndOutcome[]): number =>
    some.filter(({ outcome }) => outcome === 'failed').length;
  const all = { hits: failedIn(outcomes), tries: outcomes.length };
  return [...groups]
    .map(([key, some]): Tally => {
      const mine = { hits: failedIn(some), tries: some.length };
      const { low, high } = shareDifference(mine, {
        hits: all.hits - mine.hits,
        tries: all.tries - mine.tries,
      });
      return {
        key,
        made: mine.tries - mine.hits,
        failed: mine.hits,
        share: { value: mine.hits / mine.tries, ...wilson(mine.hits, mine.tries) },
        lostM: some.reduce((sum, { lostM }) => sum + (lostM ?? 0), 0),
        causes: causesOf(some),
        against: low > 0 ? 'more' : high < 0 ? 'less' : 'alike',
      };
    })
    .sort((x, y) => y.share.low - x.share.low || y.failed - x.failed || x.key.localeCompare(y.key));
}

const causesOf = (some: readonly EndOutcome[]): Tally['causes'] =>
  [...grouped(some, ({ cause }) => cause ?? '')]
    .filter(([cause]) => cause !== '')
    .map(([cause, { length }]) => ({ cause, count: length }))
    .sort((x, y) => y.count - x.count || x.cause.localeCompare(y.cause));

function grouped<T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return groups;
}
