/** One time which somebody took for a task. */
export interface TimedTask {
  /** What the time is learned by: a recipe, or a kind of task. */
  learnedBy: string;
  place: string;
  by: string;
  minutes: number;
}

/** The default counts as many times as this: few records move it a little, many outweigh it. Common practice, no source. */
const PRIOR_WEIGHT = 5;
/** Spread of times of one hand at one task, as a factor: two thirds lie between 1/1.35 and 1.35 of the median. From memory. */
const USUAL_SPREAD = Math.log(1.35);

/**
 * Median and spread of a task’s time: records of it at this place, shrunk towards the default while they are few. Times multiply rather
 * than add, so it is the logarithms which are averaged (a log-normal time with a conjugate prior on its median).
 *
 * @returns minutes, and half the width of the interval which two thirds of all times lie in
 * @example learnedMinutes(10, []).minutes // 10
 */
export function learnedMinutes(
  defaultMinutes: number,
  records: readonly Pick<TimedTask, 'minutes'>[],
): { minutes: number; spread: number } {
  const logs = records.map(({ minutes }) => Math.log(Math.max(0.5, minutes)));
  const weight = PRIOR_WEIGHT + logs.length;
  const mean = (PRIOR_WEIGHT * Math.log(defaultMinutes) + logs.reduce((sum, one) => sum + one, 0)) / weight;
  const squares = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  const sigma = Math.sqrt((PRIOR_WEIGHT * USUAL_SPREAD ** 2 + squares) / weight);
  const minutes = Math.exp(mean);
  return { minutes, spread: minutes * (Math.exp(sigma) - 1) };
}
