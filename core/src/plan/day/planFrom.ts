import type { DaySetup } from '../../site/index.js';

/**
 * From which minute a day is planned: from its beginning on the evening before, from now on once somebody has begun to work today, so that
 * whoever is late sees it. After the last hour it is tomorrow that is planned.
 *
 * @param worked moments at which something was done, ISO 8601
 * @param now this moment
 * @returns minutes from midnight, in the clock of this place
 */
export function planFrom({ people }: Pick<DaySetup, 'people'>, worked: readonly string[], now: Date): number {
  const first = Math.min(24 * 60, ...people.map(({ hours }) => hours[0]));
  const last = Math.max(0, ...people.map(({ hours }) => hours[1]));
  const nowMin = now.getHours() * 60 + now.getMinutes();
  const today = now.toDateString();
  const begun = worked.some((at) => new Date(at).toDateString() === today);
  return begun && nowMin > first && nowMin < last ? nowMin : first;
}
