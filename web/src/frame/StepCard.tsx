import { lowerFirst } from '@kobran/core';
import { useEffect, useRef, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { usePreferences } from '../ui/Preferences.js';
import { hasEars, hasVoice, say, useListening } from '../ui/speech.js';
import { Caution } from '../ui/StagePage.js';
import { useKeys } from '../ui/useKeys.js';
import { useWakeLock } from '../ui/useWakeLock.js';

/** A step as a card shows and speaks it. */
export interface CardStep {
  title: string;
  text: string;
  caution?: string;
}

/** A card for the phone at a joint: one thing a step, one key to go on, spoken and listening where that is wanted. */
export function StepCard({
  name,
  of,
  steps,
  at,
  goOn,
  next,
  onNext,
  onBack,
  leaveTo,
  hint,
  onHint,
  onHeard = () => undefined,
  children,
}: {
  name: string;
  of: string;
  steps: readonly CardStep[];
  /** Which step is shown. */
  at: number;
  /** What the one key says, where it is not the next step’s title. */
  goOn?: string | undefined;
  /** What the key says at the last step. */
  next: string;
  onNext: () => void;
  onBack: () => void;
  /** Where *Leave* leads. */
  leaveTo: string;
  /** Why it does not go on. */
  hint: string;
  onHint: (hint: string) => void;
  /** A value which was spoken. */
  onHeard?: (text: string) => void;
  children?: ReactNode;
}): ReactNode {
  const { card: how } = usePreferences();
  const navigate = useNavigate();
  const heading = useRef<HTMLHeadingElement>(null);
  const step = steps[at];
  const following = steps.at(at + 1);
  const leave = (): void => void navigate(leaveTo);
  useWakeLock();
  useEffect(() => heading.current?.focus(), [at]);
  useEffect(() => {
    if (how.speak && hasVoice()) say(spokenOf(step));
  }, [step, how.speak]);
  useKeys('space', onNext, { preventDefault: true });
  useKeys('b, backspace', onBack, { preventDefault: true });
  useKeys('r', () => say(spokenOf(step)));
  useKeys('esc', leave);
  useListening(
    how.listen && hasEars(),
    (command) => {
      if (command.kind === 'next') onNext();
      else if (command.kind === 'back') onBack();
      else if (command.kind === 'repeat') say(spokenOf(step));
      else if (command.kind === 'value') onHeard(command.text);
    },
    onHint,
  );
  return (
    <main className="flex min-h-screen flex-col px-4 py-3 md:px-10 md:py-5">
      <p className="flex justify-between gap-3 text-lg">
        <span>
          <strong>{name}</strong> <span className="text-muted">{of}</span>
        </span>
        <Link className="min-h-9 text-muted underline underline-offset-4" to={leaveTo}>
          Leave
        </Link>
      </p>
      <p className="figures text-muted" aria-hidden="true">
        {at + 1} of {steps.length}
      </p>
      <h1 ref={heading} tabIndex={-1} className="mt-2 text-2xl leading-tight font-bold outline-none">
        <span className="sr-only">
          Step {at + 1} of {steps.length}:{' '}
        </span>
        {step.title}
      </h1>
      <p className="mt-2 text-xl">{step.text}</p>
      {step.caution && <Caution>{step.caution}</Caution>}
      <div className="mt-4 flex-1">{children}</div>
      <p role="status" className="mt-2 min-h-7 text-lg font-bold text-stop">
        {hint}
      </p>
      <div className="sticky bottom-0 grid grid-cols-3 gap-3 bg-sheet pb-2">
        <button
          className="col-span-3 flex min-h-20 items-center justify-between gap-3 rounded bg-ink px-6 text-left text-xl font-bold text-on-ink"
          onClick={onNext}
        >
          {goOn ?? (following ? `Next: ${lowerFirst(following.title)}` : next)}
          <span className="figures hidden text-lg font-normal md:inline">Space</span>
        </button>
        <Other label="Back" name="B" onClick={onBack} />
        <Other label="Say it again" name="R" onClick={() => say(spokenOf(step))} />
        <Other label="Leave" name="Esc" onClick={leave} />
      </div>
    </main>
  );
}

const spokenOf = ({ title, text, caution }: CardStep): string =>
  [title, text, caution].filter(Boolean).join('. ');

function Other({ label, name, onClick }: { label: string; name: string; onClick: () => void }): ReactNode {
  return (
    <button
      className="min-h-16 rounded border-2 border-ink bg-paper text-base leading-tight font-bold md:text-lg"
      onClick={onClick}
    >
      {label}
      <span className="figures block text-sm font-normal text-muted">{name}</span>
    </button>
  );
}
