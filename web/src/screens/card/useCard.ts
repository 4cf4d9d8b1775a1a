import {
  cardExpectation,
  judge,
  shorten,
  stepBlocked,
  type Card,
  type EndRecord,
  type EndSheet,
  type Placed,
  type Step,
} from '@kobran/core';
import { useEffect, useState } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { dropProgress, freshProgress, keepProgress, loadProgress, type CardProgress } from './progress.js';

/** A card being worked through: where it is, what may be done, and what the one key does. */
export interface CardInWork {
  step: Step;
  index: number;
  last: boolean;
  progress: CardProgress;
  /** Why the way on is closed, after it was tried. */
  hint: string;
  /** What the one key does now. */
  label: string;
  goOn: () => void;
  goBack: () => void;
  read: (ohm: number) => void;
  deviate: (what: string) => void;
  checkedBy: (name: string) => void;
  /** The end failed: it is logged with its cause and the cable it cost, and the card begins again. */
  fail: (cause: string, lostM: number) => void;
}

const unconfirmedOf = (step: Step, confirmed: readonly string[]): Placed | undefined =>
  step.confirm ? step.places?.find(({ id }) => !confirmed.includes(id)) : undefined;

/**
 * Works a card of one end.
 *
 * @param onSigned called when the end is signed off
 */
export function useCard(
  card: Card,
  end: EndSheet,
  work: EndRecord['work'],
  onSigned: () => void,
): CardInWork {
  const { id: runId, writer, editor } = useOpenRun();
  const { name } = usePreferences();
  const catalog = useCatalog();
  const [progress, setProgress] = useState(() => loadProgress(runId, end.id, work));
  const [hint, setHint] = useState('');
  useEffect(() => keepProgress(runId, end.id, work, progress), [progress, runId, end.id, work]);

  const index = Math.min(progress.step, card.steps.length - 1);
  const step = card.steps[index];
  const last = index === card.steps.length - 1;
  const unconfirmed = unconfirmedOf(step, progress.confirmed);
  const record: EndRecord = { part: end.part.id, cable: end.cable.id, recipe: card.recipe, work };

  function change(part: Partial<CardProgress>): void {
    setHint('');
    setProgress((now) => ({ ...now, ...part }));
  }

  function goOn(): void {
    if (unconfirmed) return change({ confirmed: [...progress.confirmed, unconfirmed.id] });
    const blocked = stepBlocked(step, {
      confirmed: progress.confirmed,
      readingOk: readingJudged(step, progress, card, end.lengthM),
      maker: name,
      checker: progress.checkedBy,
    });
    if (blocked) return setHint(blocked);
    if (!last) return change({ step: index + 1 });
    sign();
  }

  function sign(): void {
    const { deviations, checkedBy } = progress;
    writer.addLog({
      kind: work === 'shrink' ? 'note' : 'end made',
      about: end.id,
      text: signedText(card, work, progress),
      end: {
        ...record,
        ...(deviations.length > 0 ? { deviations } : {}),
        ...(checkedBy === '' ? {} : { checkedBy }),
      },
    });
    dropProgress(runId, end.id, work);
    onSigned();
  }

  function fail(cause: string, lostM: number): void {
    writer.addLog({
      kind: 'end failed',
      about: end.id,
      text: `${cause} (at ${step.name})`,
      end: { ...record, cause, step: step.name, lostM },
    });
    const { change: shorter } = shorten(editor.design, catalog, end.pieceId, lostM);
    if (shorter) editor.change([shorter]);
    change(freshProgress);
  }

  const next = card.steps.at(index + 1);
  return {
    step,
    index,
    last,
    progress,
    hint,
    label: unconfirmed
      ? `On the cable: ${unconfirmed.name}`
      : last || !next
        ? work === 'shrink'
          ? 'Done'
          : 'Sign this end off'
        : `Next: ${next.title.charAt(0).toLowerCase()}${next.title.slice(1)}`,
    goOn,
    goBack: () => change({ step: Math.max(0, index - 1) }),
    read: (ohm) => change({ readings: { ...progress.readings, [step.id]: ohm === Infinity ? null : ohm } }),
    deviate: (what) => {
      writer.addLog({
        kind: 'deviation',
        about: end.id,
        text: `${what} (at ${step.name})`,
        end: { ...record, cause: what, step: step.name },
      });
      change({ deviations: [...progress.deviations, `${what} (at ${step.name})`] });
    },
    checkedBy: (who) => change({ checkedBy: who }),
    fail,
  };
}

function signedText(card: Card, work: EndRecord['work'], { readings, checkedBy }: CardProgress): string {
  const read = Object.entries(readings).map(
    ([stepId, ohm]) => `${stepId} ${ohm === null ? 'open' : `${ohm} ohm`}`,
  );
  const done =
    work === 'shrink'
      ? 'adhesive shrink and strain relief'
      : work === 're-end'
        ? 'made again by the card'
        : 'made by the card';
  return [
    `${card.part.name}: ${done}`,
    ...read,
    ...(checkedBy === '' ? [] : [`checked by ${checkedBy}`]),
  ].join('; ');
}

/** Whether the reading of this step lets go on; undefined while none was taken. */
function readingJudged(step: Step, progress: CardProgress, card: Card, lengthM: number): boolean | undefined {
  const reading = progress.readings[step.id];
  if (!step.reading || reading === undefined) return undefined;
  return judge(cardExpectation(step.reading, card.cable, lengthM), reading ?? Infinity).verdict !== 'fail';
}
