import { cardExpectation, judge, stepBlocked, type Card, type EndSheet, type Step } from '@kobran/core';
import { useEffect, useState } from 'react';
import { useOpenRun } from '../../runs/RunContext.js';
import { dropProgress, freshProgress, keepProgress, loadProgress, type CardProgress } from './progress.js';

/** A card being worked through: where it is, what may be done, and what the one key does. */
export interface CardInWork {
  step: Step;
  index: number;
  last: boolean;
  progress: CardProgress;
  /** Length of the cable measured through, m. */
  lengthM: number;
  /** Why the way on is closed, after it was tried. */
  hint: string;
  /** What the one key does now. */
  label: string;
  goOn: () => void;
  goBack: () => void;
  read: (ohm: number) => void;
  /** The end failed: it is logged with its cause, and the card begins again. */
  fail: (cause: string) => void;
}

/**
 * Works a card of one end.
 *
 * @param onSigned called when the end is signed off
 */
export function useCard(card: Card, end: EndSheet, onSigned: () => void): CardInWork {
  const { id: runId, writer, editor } = useOpenRun();
  const [progress, setProgress] = useState(() => loadProgress(runId, end.id));
  const [hint, setHint] = useState('');
  useEffect(() => keepProgress(runId, end.id, progress), [progress, runId, end.id]);

  const index = Math.min(progress.step, card.steps.length - 1);
  const step = card.steps[index];
  const last = index === card.steps.length - 1;
  const piece = editor.design.pieces.find(({ id }) => id === end.pieceId);
  const lengthM = piece?.kind === 'assembly' ? piece.lengthM : 1;
  const unconfirmed = step.confirm?.find(({ id }) => !progress.confirmed.includes(id));

  function change(part: Partial<CardProgress>): void {
    setHint('');
    setProgress((now) => ({ ...now, ...part }));
  }

  function goOn(): void {
    if (unconfirmed) return change({ confirmed: [...progress.confirmed, unconfirmed.id] });
    const blocked = stepBlocked(step, progress.confirmed, readingJudged(step, progress, card, lengthM));
    if (blocked) return setHint(blocked);
    if (!last) return change({ step: index + 1 });
    const readings = Object.entries(progress.readings).map(
      ([stepId, ohm]) => `${stepId} ${ohm === null ? 'open' : `${ohm} ohm`}`,
    );
    writer.addLog({
      kind: 'end made',
      about: end.id,
      text: `${card.part.name}: made by the card; ${readings.join(', ')}`,
    });
    dropProgress(runId, end.id);
    onSigned();
  }

  const next = card.steps.at(index + 1);
  return {
    step,
    index,
    last,
    progress,
    lengthM,
    hint,
    label: unconfirmed
      ? `On the cable: ${unconfirmed.name}`
      : last || !next
        ? 'Sign this end off'
        : `Next: ${next.title.charAt(0).toLowerCase()}${next.title.slice(1)}`,
    goOn,
    goBack: () => change({ step: Math.max(0, index - 1) }),
    read: (ohm) => change({ readings: { ...progress.readings, [step.id]: ohm === Infinity ? null : ohm } }),
    fail: (cause) => {
      writer.addLog({ kind: 'end failed', about: end.id, text: `${cause} (at ${step.name})` });
      change(freshProgress);
    },
  };
}

/** Whether the reading of this step lets go on; undefined while none was taken. */
function readingJudged(step: Step, progress: CardProgress, card: Card, lengthM: number): boolean | undefined {
  const reading = progress.readings[step.id];
  if (!step.reading || reading === undefined) return undefined;
  return judge(cardExpectation(step.reading, card.cable, lengthM), reading ?? Infinity).verdict !== 'fail';
}
