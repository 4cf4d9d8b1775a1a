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

/** Longer pulls want somebody in the middle. Common practice, no source. */
export const LONG_PULL_M = 25;

export const aloftCautions = [
  'Two people, fall arrest, tools on lanyards, nobody below. Look for power lines. Not in wind or storm. Local rules decide who may climb.',
];
export const digCautions = ['Ask for buried lines before anybody digs or drives a rod.'];
