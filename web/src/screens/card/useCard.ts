import { lowerFirst, shorten, type Card, type EndRecord, type EndSheet, type Step } from '@kobran/core';
import { useState } from 'react';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { usePreferences } from '../../ui/Preferences.js';
import {
  back,
  freshProgress,
  press,
  stepOf,
  unconfirmed,
  withDeviation,
  withReading,
  type CardProgress,
} from './cardProgress.js';

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

/** What a card is worked on, and where its progress is kept. */
export interface CardWork {
  card: Card;
  end: EndSheet;
  work: EndRecord['work'];
  progress: CardProgress;
  /** Keeps how far it is; nothing when it is done. */
  keep: (progress: CardProgress | undefined) => void;
  /** Called when the end is signed off. */
  onSigned: () => void;
}

/** Works a card of one end. */
export function useCard({ card, end, work, progress, keep, onSigned }: CardWork): CardInWork {
  const { writer, editor, facts, practice } = useOpenRun();
  const { name: maker } = usePreferences();
  const catalog = useCatalog();
  const [hint, setHint] = useState('');
  const { step, index, last } = stepOf(card, progress);
  const part = unconfirmed(step, progress);
  const record: EndRecord = {
    part: end.part.id,
    cable: end.cable.id,
    recipe: card.recipe,
    work,
    ...(end.exposed ? { lined: true } : {}),
  };

  function change(to: CardProgress): void {
    setHint('');
    keep(to);
  }

  function goOn(): void {
    const pressed = press({ card, lengthM: end.lengthM, meter: practice.ohmMeter, maker }, progress);
    if (pressed.kind === 'moved') change(pressed.progress);
    else if (pressed.kind === 'blocked') setHint(pressed.why);
    else sign();
  }

  function sign(): void {
    const { deviations, checkedBy, readings } = progress;
    const made = {
      ...record,
      ...(deviations.length > 0 ? { deviations } : {}),
      ...(checkedBy === '' ? {} : { checkedBy }),
    };
    writer.add(
      work === 'shrink'
        ? { kind: 'shrink fitted', endId: end.id, end: made }
        : { kind: 'end made', endId: end.id, end: made, readings },
    );
    keep(undefined);
    onSigned();
  }

  function fail(cause: string, lostM: number): void {
    writer.add({
      kind: 'end failed',
      endId: end.id,
      end: { ...record, cause, step: step.name, lostM },
    });
    const lost = { pieceId: end.pieceId, lostM };
    const { change: shorter } = shorten(editor.design, catalog, lost, { facts, practice });
    if (shorter) editor.change([shorter]);
    change(freshProgress);
  }

  const next = card.steps.at(index + 1);
  const ahead =
    last || !next ? (work === 'shrink' ? 'Done' : 'Sign this end off') : `Next: ${lowerFirst(next.title)}`;
  return {
    step,
    index,
    last,
    progress,
    hint,
    label: part ? `On the cable: ${part.name}` : ahead,
    goOn,
    goBack: () => change(back(card, progress)),
    read: (ohm) => change(withReading(step, progress, ohm)),
    deviate: (what) => {
      writer.add({
        kind: 'deviation',
        endId: end.id,
        end: { ...record, cause: what, step: step.name },
      });
      change(withDeviation(step, progress, what));
    },
    checkedBy: (who) => change({ ...progress, checkedBy: who }),
    fail,
  };
}
