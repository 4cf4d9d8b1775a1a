import { type RandomGenerator } from 'pure-rand';
import { MISSED_WEIGHT, below } from '../chance/index.js';
import type { GaugeStretch } from '../make/index.js';

/** An answer to choose from. */
export interface Option {
  id: string;
  text: string;
  /** Drawn as strip lengths, where the answer is one. */
  stretches?: GaugeStretch[];
}

/** One question of the trainer, whatever it is about. */
export interface Question {
  /** `kind:about`, stable for what is asked: what was missed is remembered by it. */
  id: string;
  question: string;
  /** Nothing to choose from where parts are put in order: the answer is their ids, joined by `>`. */
  options: Option[];
  right: string;
  /** Shown after an answer. */
  reason: (answer: string) => string;
}

/** How often each question was answered, and how often wrongly. */
export type DrillScore = Readonly<
  Record<string, { asked: number; missed: number; last: 'right' | 'missed' }>
>;

/** One question out of a pool; what was missed last time comes back sooner. */
export function drawn(pool: readonly string[], score: DrillScore, rng: RandomGenerator): string {
  const weighted = pool.flatMap((id) =>
    Array.from({ length: isMissed(score, id) ? MISSED_WEIGHT : 1 }, () => id),
  );
  return weighted[below(rng, weighted.length)];
}

export const isMissed = (score: DrillScore, id: string): boolean =>
  id in score && score[id].last === 'missed';

/** The score after an answer. */
export function scored(
  score: DrillScore,
  { id, right }: Pick<Question, 'id' | 'right'>,
  answer: string,
): DrillScore {
  const before = id in score ? score[id] : { asked: 0, missed: 0 };
  const wrong = answer !== right;
  return {
    ...score,
    [id]: {
      asked: before.asked + 1,
      missed: before.missed + Number(wrong),
      last: wrong ? 'missed' : 'right',
    },
  };
}
