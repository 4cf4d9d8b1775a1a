import {
  batchEndId,
  batchFinished,
  cardExpectation,
  failPiece,
  freshBatch,
  isDone,
  judge,
  lostOnFailureMm,
  readPiece,
  stepBack,
  tickPiece,
  untickPiece,
  type Batch,
  type Card,
  type EndRecord,
  type EndSheet,
  type Step,
} from '@kobran/core';
import { useEffect, useState } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';

/** A batch being worked: its ticks are kept at this device, what is signed or failed goes into the log. */
export interface BatchInWork {
  batch: Batch | undefined;
  step: Step;
  finished: boolean;
  hint: string;
  start: (count: number) => void;
  /** Ticks a piece, or takes its tick back. */
  toggle: (piece: number) => void;
  read: (piece: number, ohm: number) => void;
  fail: (piece: number, cause: string) => void;
  back: () => void;
  drop: () => void;
}

const keyOf = (runId: string, endId: string): string => `kobran.batch.${runId}.${endId}`;

function kept(key: string): Batch | undefined {
  try {
    const text = localStorage.getItem(key);
    return text === null ? undefined : (JSON.parse(text) as Batch);
  } catch {
    return undefined; // Half a text of a device that went out while writing.
  }
}

/** The reading of one piece at a step, judged; undefined while none was taken. */
export function pieceReadingOk(
  batch: Batch,
  card: Card,
  step: Step,
  end: EndSheet,
  piece: number,
): boolean | undefined {
  const value = batch.readings[step.id]?.[piece];
  if (!step.reading || value === undefined) return undefined;
  return judge(cardExpectation(step.reading, card.cable, end.lengthM), value ?? Infinity).verdict !== 'fail';
}

export function useBatch(card: Card, end: EndSheet): BatchInWork {
  const { id: runId, writer } = useOpenRun();
  const { name } = usePreferences();
  const key = keyOf(runId, end.id);
  const [batch, setBatch] = useState(() => kept(key));
  const [hint, setHint] = useState('');
  useEffect(() => {
    if (batch) localStorage.setItem(key, JSON.stringify(batch));
    else localStorage.removeItem(key);
  }, [batch, key]);
  const step = card.steps[Math.min(batch?.step ?? 0, card.steps.length - 1)];
  const record: EndRecord = { part: end.part.id, cable: end.cable.id, recipe: card.recipe, work: 'new end' };

  const change = (to: Batch): void => {
    setHint('');
    setBatch(to);
  };

  function toggle(piece: number): void {
    if (!batch) return;
    if (isDone(batch, step, piece)) {
      // What was signed is in the log, which is never rewritten.
      if (step.id !== 'sign') change(untickPiece(batch, card, piece));
      return;
    }
    const readingOk = pieceReadingOk(batch, card, step, end, piece);
    const ticked = tickPiece(batch, card, piece, {
      ...(readingOk === undefined ? {} : { readingOk }),
      maker: name,
    });
    if (ticked.blocked) return setHint(ticked.blocked);
    if (step.id === 'sign')
      writer.addLog({
        kind: 'end made',
        // The first which is signed is the run’s own; the others are spares.
        about: end.made ? batchEndId(end.id, piece) : end.id,
        text: `${card.part.name}: piece ${piece} of ${batch.count}, made by the card`,
        end: record,
      });
    change(ticked.batch);
  }

  return {
    batch,
    step,
    finished: batch !== undefined && batchFinished(batch, card),
    hint,
    start: (count) => change(freshBatch(count)),
    toggle,
    read: (piece, ohm) => batch && change(readPiece(batch, card, piece, ohm)),
    fail: (piece, cause) => {
      if (!batch) return;
      writer.addLog({
        kind: 'end failed',
        about: batchEndId(end.id, piece),
        text: `${cause} (piece ${piece} of ${batch.count}, at ${step.name})`,
        end: { ...record, cause, step: step.name, lostM: lostOnFailureMm(card, batch.step) / 1000 },
      });
      change(failPiece(batch, card, piece, cause));
    },
    back: () => batch && change(stepBack(batch)),
    drop: () => setBatch(undefined),
  };
}
