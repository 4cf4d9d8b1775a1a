/** What a shop knows of failures: tries that went well, and tries that did not. */
export interface Tries {
  made: number;
  failed: number;
}

/** One end in twenty fails where nobody has counted: as if so many had been tried. Common practice, no source. */
const BEFORE: Tries = { made: 19, failed: 1 };

/** So sure is somebody who takes the spares along. */
export const SPARES_SURE = 0.95;

/**
 * How many spares to take along so that so many ends come out well: failures on the way to the last good one are beta-binomial, their share
 * being known only as well as the shop has counted.
 *
 * P(0) = Π (b + i)/(a + b + i) over the ends; P(k + 1)/P(k) = (n + k)(a + k)/((k + 1)(a + b + n + k)). Texts on statistics: beta negative
 * binomial distribution.
 *
 * @param ends to be made
 * @param known what the shop has counted for this part
 * @returns the least number which is enough with 95 %; 0 for nothing to make
 * @example sparesFor(10, { made: 970, failed: 30 }) // 1
 */
export function sparesFor(ends: number, known: Tries, sure = SPARES_SURE): number {
  if (ends === 0) return 0;
  const [a, b] = [BEFORE.failed + known.failed, BEFORE.made + known.made];
  let chance = 1;
  for (let i = 0; i < ends; i++) chance *= (b + i) / (a + b + i);
  let sum = chance;
  let k = 0;
  for (; sum < sure; k++) {
    chance *= ((ends + k) * (a + k)) / ((k + 1) * (a + b + ends + k));
    sum += chance;
  }
  return k;
}
