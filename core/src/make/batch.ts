import type { Card, StepDone } from './card.js';
import { stepBlocked } from './card.js';
import type { Step } from './recipe.js';
import { isObject } from '../quantity/index.js';

/** More pieces than anyone lays on a bench at once. */
export const MAX_IN_BATCH = 50;

/** Several of the same end made side by side: each step is done on every piece before the next one begins. */
export interface Batch {
  /** Numbers of the pieces, from 1. */
  count: number;
  step: number;
  /** Pieces done, by step. */
  done: Readonly<Record<string, readonly number[]>>;
  /** Ohm by step and piece; over range is null. */
  readings: Readonly<Record<string, Readonly<Record<number, number | null>>>>;
  /** Pieces which failed, with the cause and the step; they drop out. */
  failed: Readonly<Record<number, { cause: string; step: string }>>;
}

export const freshBatch = (count: number): Batch => ({ count, step: 0, done: {}, readings: {}, failed: {} });

/** Pieces still in work. */
export const piecesOf = ({ count, failed }: Batch): number[] =>
  Array.from({ length: count }, (_, k) => k + 1).filter((piece) => !(piece in failed));

export const isDone = ({ done }: Batch, step: Step, piece: number): boolean =>
  done[step.id]?.includes(piece) ?? false;

/** The next piece on which this step is still to be done; none when all have it. */
export const nextPiece = (batch: Batch, step: Step): number | undefined =>
  piecesOf(batch).find((piece) => !isDone(batch, step, piece));

/** A batch after a tick, or the same with the sentence why it may not be ticked. */
export type Ticked = { batch: Batch; blocked?: string };

/**
 * Ticks one step on one piece, and goes to the next step when it was the last piece.
 *
 * @param readingOk verdict of the piece's reading, for a step which asks for one
 */
export function tickPiece(
  batch: Batch,
  card: Card,
  piece: number,
  done: Omit<StepDone, 'confirmed'>,
): Ticked {
  const step = card.steps[batch.step];
  // A tick says that the parts are on this piece: they are confirmed piece by piece instead of part by part.
  const blocked = stepBlocked({ ...step, confirm: false }, { ...done, confirmed: [] });
  if (blocked)
    return { batch, blocked: `Piece ${piece}: ${blocked.charAt(0).toLowerCase()}${blocked.slice(1)}` };
  if (piece in batch.failed || isDone(batch, step, piece)) return { batch };
  const ticked: Batch = {
    ...batch,
    done: { ...batch.done, [step.id]: [...(batch.done[step.id] ?? []), piece].sort((x, y) => x - y) },
  };
  return { batch: onward(ticked, card) };
}

/** Takes a tick back. */
export function untickPiece(batch: Batch, card: Card, piece: number): Batch {
  const step = card.steps[batch.step];
  return {
    ...batch,
    done: { ...batch.done, [step.id]: (batch.done[step.id] ?? []).filter((one) => one !== piece) },
  };
}

export const readPiece = (batch: Batch, card: Card, piece: number, ohm: number): Batch => {
  const step = card.steps[batch.step];
  return {
    ...batch,
    readings: {
      ...batch.readings,
      [step.id]: { ...batch.readings[step.id], [piece]: ohm === Infinity ? null : ohm },
    },
  };
};

/** A piece drops out; when it was the last one of this step, the others go on. */
export function failPiece(batch: Batch, card: Card, piece: number, cause: string): Batch {
  const step = card.steps[batch.step];
  return onward({ ...batch, failed: { ...batch.failed, [piece]: { cause, step: step.name } } }, card);
}

/** Goes to the next step when every piece has this one; stays at the last. */
function onward(batch: Batch, card: Card): Batch {
  const step = card.steps[batch.step];
  if (piecesOf(batch).length === 0 || nextPiece(batch, step) !== undefined) return batch;
  return { ...batch, step: Math.min(batch.step + 1, card.steps.length - 1) };
}

export const stepBack = (batch: Batch): Batch => ({ ...batch, step: Math.max(0, batch.step - 1) });

/** Is every piece which did not fail signed off? */
export const batchFinished = (batch: Batch, card: Card): boolean =>
  piecesOf(batch).every((piece) => isDone(batch, card.steps[card.steps.length - 1], piece));

const isCount = (value: unknown): value is number =>
  typeof value === 'number' && Number.isInteger(value) && value >= 0 && value <= MAX_IN_BATCH;

/** Reads what was kept of a batch; nothing when it is none. */
export function readBatch(value: unknown): Batch | undefined {
  if (!isObject(value)) return undefined;
  const { count, step, done, readings, failed } = value;
  if (!isCount(count) || count < 1 || typeof step !== 'number' || !Number.isInteger(step) || step < 0)
    return undefined;
  const sound =
    isObject(done) &&
    Object.values(done).every((pieces) => Array.isArray(pieces) && pieces.every(isCount)) &&
    isObject(readings) &&
    Object.values(readings).every(
      (byPiece) =>
        isObject(byPiece) && Object.values(byPiece).every((ohm) => ohm === null || typeof ohm === 'number'),
    ) &&
    isObject(failed) &&
    Object.values(failed).every(
      (one) => isObject(one) && typeof one.cause === 'string' && typeof one.step === 'string',
    );
  // Every member was looked at above, so it has the shape of a batch.
  return sound ? (value as unknown as Batch) : undefined;
}
