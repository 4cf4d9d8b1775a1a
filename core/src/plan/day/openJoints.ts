import { formatClock } from '../../quantity/index.js';
import type { DaySetup } from '../../site/index.js';
import type { PlacedTask } from './place.js';
import type { Task } from './task.js';

/** Something which a task opens to the weather and which is not closed before rain, or before everybody goes home. */
export interface OpenJoints {
  /** The task which opens it. */
  task: string;
  title: string;
  /** By when it is capped, minutes from midnight. */
  byMin: number;
  against: 'rain' | 'night';
}

/**
 * What stays open over rain or night in a plan, and by when it is capped; one entry a task, the first weather that meets it. A joint in the
 * open is sealed or capped before rain. Handbook of the trade, 6 and 9.
 */
export function openJoints(
  placed: readonly PlacedTask[],
  { people, wet }: Pick<DaySetup, 'people' | 'wet'>,
): OpenJoints[] {
  const begins = new Map(placed.map(({ task, startMin }) => [task.id, startMin]));
  const homeMin = Math.max(0, ...people.map(({ hours }) => hours[1]));
  return placed.flatMap(({ task: { id, title, opensUntil }, endMin }): OpenJoints[] => {
    const closedMin = Math.max(0, ...opensUntil.map((one) => begins.get(one) ?? Infinity));
    const rainMin = Math.min(...wet.map(([from]) => from).filter((from) => from >= endMin));
    if (rainMin < closedMin) return [{ task: id, title, byMin: rainMin, against: 'rain' }];
    return closedMin === Infinity
      ? [{ task: id, title, byMin: Math.max(homeMin, endMin), against: 'night' }]
      : [];
  });
}

/** `Cap what stays open by 14:00: it rains before it is sealed.` */
export const sayOpen = ({ byMin, against }: Pick<OpenJoints, 'byMin' | 'against'>): string =>
  `Cap what stays open by ${formatClock(byMin)}: ${against === 'rain' ? 'it rains before it is sealed' : 'it is not sealed on this day'}.`;

/** What whoever does a task has to beware of, its weather of that day among it. */
export const cautionsOf = (
  { id, cautions }: Pick<Task, 'id' | 'cautions'>,
  open: readonly OpenJoints[],
): string[] => [...cautions, ...open.filter(({ task }) => task === id).map(sayOpen)];
