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
  type Expectation,
  type Step,
} from '@kobran/core';
import { useState } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';

/** A batch being worked: its ticks are kept, what is signed or failed goes into the log. */
export interface BatchInWork {
  batch: Batch | undefined;
  step: Step;
  /** What the meter should show at this step, where it asks for a reading. */
  expectation: Expectation | undefined;
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

/** What a batch is worked on, and where its ticks are kept. */
export interface BatchWork {
  card: Card;
  end: EndSheet;
  batch: Batch | undefined;
  keep: (batch: Batch | undefined) => void;
}

export function useBatch({ card, end, batch, keep }: BatchWork): BatchInWork {
  const { writer, practice } = useOpenRun();
  const { name } = usePreferences();
  const [hint, setHint] = useState('');
  const step = card.steps[Math.min(batch?.step ?? 0, card.steps.length - 1)];
  const expectation =
    step.reading && cardExpectation(step.reading, card.cable, end.lengthM, practice.ohmMeter);
  const record: EndRecord = {
    part: end.part.id,
    cable: end.cable.id,
    recipe: card.recipe,
    work: 'new end',
    ...(end.exposed ? { lined: true } : {}),
  };

  const change = (to: Batch): void => {
    setHint('');
    keep(to);
  };

  function toggle(piece: number): void {
    if (!batch) return;
    if (isDone(batch, step, piece)) {
      // What was signed is in the log, which is never rewritten.
      if (step.id !== 'sign') change(untickPiece(batch, card, piece));
      return;
    }
    const value = batch.readings[step.id]?.[piece];
    const ticked = tickPiece(batch, card, piece, {
      ...(expectation && value !== undefined
        ? { readingOk: judge(expectation, value ?? Infinity).verdict !== 'fail' }
        : {}),
      maker: name,
    });
    if (ticked.blocked) return setHint(ticked.blocked);
    const readings = Object.entries(batch.readings).flatMap(([id, byPiece]): [string, number | null][] =>
      piece in byPiece ? [[id, byPiece[piece]]] : [],
    );
    if (step.id === 'sign')
      writer.add({
        kind: 'end made',
        // The first which is signed is the run’s own; the others are spares.
        endId: end.made ? batchEndId(end.id, piece) : end.id,
        end: record,
        batch: { piece, of: batch.count },
        ...(readings.length > 0 ? { readings: Object.fromEntries(readings) } : {}),
      });
    change(ticked.batch);
  }

  return {
    batch,
    step,
    expectation,
    finished: batch !== undefined && batchFinished(batch, card),
    hint,
    start: (count) => change(freshBatch(count)),
    toggle,
    read: (piece, ohm) => batch && change(readPiece(batch, card, piece, ohm)),
    fail: (piece, cause) => {
      if (!batch) return;
      writer.add({
        kind: 'end failed',
        endId: batchEndId(end.id, piece),
        end: { ...record, cause, step: step.name, lostM: lostOnFailureMm(card, batch.step) / 1000 },
        batch: { piece, of: batch.count },
      });
      change(failPiece(batch, card, piece, cause));
    },
    back: () => batch && change(stepBack(batch)),
    drop: () => keep(undefined),
  };
}
