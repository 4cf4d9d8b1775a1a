import type { TaskKind, TaskPlace } from './task.js';

/** Minutes of tasks whose sheet gives none. Common practice, no source; the shop’s own log corrects them. */
export const usualMinutes: Record<Exclude<TaskKind, 'make' | 'seal'>, { each: number; perM?: number }> = {
  cut: { each: 6 },
  'bench test': { each: 8 },
  pull: { each: 20, perM: 1 },
  hang: { each: 10, perM: 0.8 },
  arrester: { each: 20 },
  rod: { each: 35 },
  bond: { each: 20 },
  mate: { each: 5 },
  prove: { each: 20 },
  label: { each: 6 },
  'hand over': { each: 12 },
};

/** Work takes so many times as long there as at the bench. Common practice, no source. */
export const placeFactor: Record<TaskPlace, number> = { bench: 1, inside: 1.2, ground: 1.2, aloft: 1.6 };

/** An electrode which is there is looked at, min. Common practice, no source. */
export const LOOK_MIN = 10;

/** Longer pulls want somebody in the middle. Common practice, no source. */
const LONG_PULL_M = 25;

/** One person lays, or pushes through, as much cable alone. Common practice, no source. */
const ALONE_M = 10;

/** What one person lifts at the most: load constant of the NIOSH lifting equation; Waters and others, Ergonomics 36 (1993), kg. */
export const LIFT_KG = 23;

/**
 * How many people a cable wants on its way, by where it goes, its length and its mass. Aloft one climbs and one is with them; what is
 * heavier there hangs on a rope.
 */
export function handsFor(
  what: 'lay' | 'pull',
  { lengthM, massKg, aloft }: { lengthM: number; massKg: number; aloft: boolean },
): number {
  if (aloft) return 2;
  const byLength = lengthM <= ALONE_M ? 1 : what === 'lay' || lengthM <= LONG_PULL_M ? 2 : 3;
  return Math.min(3, Math.max(byLength, Math.ceil(massKg / LIFT_KG)));
}

export const aloftCautions = [
  'Two people, fall arrest, tools on lanyards, nobody below. Look for power lines. Not in wind or storm. Local rules decide who may climb.',
];
export const digCautions = ['Ask for buried lines before anybody digs or drives a rod.'];
