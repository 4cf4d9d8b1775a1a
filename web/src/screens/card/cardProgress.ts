import {
  cardExpectation,
  isObject,
  judge,
  stepBlocked,
  type Card,
  type OhmMeter,
  type Placed,
  type Step,
} from '@kobran/core';

/** How far a card is. */
export interface CardProgress {
  step: number;
  /** Parts confirmed on the cable. */
  confirmed: string[];
  /** Readings by step; over range is null. */
  readings: Record<string, number | null>;
  /** What was done differently, in words. */
  deviations: string[];
  /** The second person, once they have looked. */
  checkedBy: string;
}

export const freshProgress: CardProgress = {
  step: 0,
  confirmed: [],
  readings: {},
  deviations: [],
  checkedBy: '',
};

const texts = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((one): one is string => typeof one === 'string') : [];

/** Reads what was kept of a card; what of it cannot be read is as at the beginning. */
export function readCardProgress(value: unknown): CardProgress | undefined {
  if (!isObject(value)) return undefined;
  const { step, confirmed, readings, deviations, checkedBy } = value;
  return {
    step: typeof step === 'number' && Number.isInteger(step) && step >= 0 ? step : 0,
    confirmed: texts(confirmed),
    readings: Object.fromEntries(
      Object.entries(isObject(readings) ? readings : {}).filter(
        (one): one is [string, number | null] => one[1] === null || Number.isFinite(one[1]),
      ),
    ),
    deviations: texts(deviations),
    checkedBy: typeof checkedBy === 'string' ? checkedBy : '',
  };
}

/** What a card is about, besides what was done: who makes it, and how long the cable is. */
export interface CardSetting {
  card: Card;
  /** Of the whole assembly, m. */
  lengthM: number;
  /** How the shop’s meter reads. */
  meter: OhmMeter | undefined;
  maker: string;
}

/** Where a card is after the one key: further, held back with a reason, or at its end. */
export type Pressed =
  { kind: 'moved'; progress: CardProgress } | { kind: 'blocked'; why: string } | { kind: 'finished' };

/** The step a card is at; one that was kept from a longer card is at its last. */
export const stepOf = (card: Card, { step }: CardProgress): { step: Step; index: number; last: boolean } => {
  const index = Math.min(step, card.steps.length - 1);
  return { step: card.steps[index], index, last: index === card.steps.length - 1 };
};

/** The next part to be confirmed on the cable in this step. */
export const unconfirmed = (step: Step, { confirmed }: CardProgress): Placed | undefined =>
  step.confirm ? step.places?.find(({ id }) => !confirmed.includes(id)) : undefined;

/** The one key: confirms the next part, then goes to the next step unless something holds it. */
export function press(setting: CardSetting, progress: CardProgress): Pressed {
  const { maker, card } = setting;
  const { step, index, last } = stepOf(card, progress);
  const part = unconfirmed(step, progress);
  if (part) return { kind: 'moved', progress: { ...progress, confirmed: [...progress.confirmed, part.id] } };
  const why = stepBlocked(step, {
    confirmed: progress.confirmed,
    readingOk: readingOk(step, progress, setting),
    maker,
    checker: progress.checkedBy,
  });
  if (why) return { kind: 'blocked', why };
  return last ? { kind: 'finished' } : { kind: 'moved', progress: { ...progress, step: index + 1 } };
}

export const back = (card: Card, progress: CardProgress): CardProgress => ({
  ...progress,
  step: Math.max(0, stepOf(card, progress).index - 1),
});

export const withReading = (step: Step, progress: CardProgress, ohm: number): CardProgress => ({
  ...progress,
  readings: { ...progress.readings, [step.id]: ohm === Infinity ? null : ohm },
});

export const withDeviation = (step: Step, progress: CardProgress, what: string): CardProgress => ({
  ...progress,
  deviations: [...progress.deviations, `${what} (at ${step.name})`],
});

/** Whether the reading of this step lets go on; undefined while none was taken. */
function readingOk(
  step: Step,
  progress: CardProgress,
  { card, lengthM, meter }: CardSetting,
): boolean | undefined {
  const reading = progress.readings[step.id];
  if (!step.reading || reading === undefined) return undefined;
  const expectation = cardExpectation(step.reading, card.cable, lengthM, meter);
  return judge(expectation, reading ?? Infinity).verdict !== 'fail';
}
