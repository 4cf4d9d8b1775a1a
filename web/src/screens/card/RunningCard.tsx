import { lostOnFailureMm, parseResistance, type Card, type EndSheet, type SpokenCommand } from '@kobran/core';
import { useEffect, useRef, useState, type MouseEvent, type ReactNode } from 'react';
import { useKeys } from '../../ui/useKeys.js';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Advice } from './Advice.js';
import { Bench } from './Bench.js';
import { CardOptions } from './CardOptions.js';
import { howTo, spoken } from './spoken.js';
import { hasVoice, say, useListening } from '../../ui/speech.js';
import { StepsRow } from './StepsRow.js';
import { useCard, type CardInWork, type CardWork } from './useCard.js';
import { useWakeLock } from '../../ui/useWakeLock.js';
import { WentWrong } from './WentWrong.js';

/** One step at a time, readable at 1.5 m; one key, a pedal, a tap or a word goes on. */
export function RunningCard(given: Omit<CardWork, 'onSigned'>): ReactNode {
  const { card, end } = given;
  const { id: runId } = useOpenRun();
  const { card: how } = usePreferences();
  const navigate = useNavigate();
  const leave = (): void => void navigate(`/runs/${runId}/make`);
  const inWork = useCard({ ...given, onSigned: leave });
  const { step, index } = inWork;
  const [wrong, setWrong] = useState(false);
  const [options, setOptions] = useState(false);
  const [timerStarts, setTimerStarts] = useState(0);
  const heading = useRef<HTMLHeadingElement>(null);
  useWakeLock();

  // A step which asks for a reading begins in its field; the others, and a reading once taken, at the title, where Space goes on.
  useEffect(() => {
    if (!step.reading) heading.current?.focus();
  }, [index, step.reading]);
  useEffect(() => {
    if (how.speak && hasVoice()) say(spoken(step, how.touch));
  }, [step, how.speak, how.touch]);

  const read = (ohm: number): void => {
    inWork.read(ohm);
    heading.current?.focus();
  };
  const repeat = (): void => say(spoken(step, how.touch));
  const free = !wrong && !options;
  useCardKeys({
    inWork,
    free,
    repeat,
    leave,
    onWrong: () => setWrong(true),
    onOptions: () => setOptions(true),
  });
  useVoice({
    inWork,
    free,
    read,
    repeat,
    onWrong: () => setWrong(true),
    onTimer: () => setTimerStarts((n) => n + 1),
  });

  return (
    <main
      className="flex min-h-screen flex-col px-4 py-3 md:px-10 md:py-5"
      onClick={(event) => {
        if (how.tap && free && isFreeGround(event)) inWork.goOn();
      }}
    >
      <Head card={card} end={end} onOptions={() => setOptions(true)} onLeave={leave} />
      <StepsRow card={card} at={index} />
      <h1
        ref={heading}
        tabIndex={-1}
        className="mt-3 text-xl leading-tight font-bold outline-none md:text-2xl"
      >
        <span className="sr-only">
          Step {index + 1} of {card.steps.length}:{' '}
        </span>
        {step.title}
      </h1>
      <p className="mt-1 text-lg md:text-[22px]">{howTo(step, how.touch)}</p>
      <div className="mt-4 grid flex-1 content-start gap-6 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Bench card={card} end={end} inWork={inWork} onRead={read} timerStarts={timerStarts} />
        <Advice card={card} inWork={inWork} />
      </div>
      <p role="status" className="mt-2 min-h-7 text-lg font-bold text-stop">
        {inWork.hint}
      </p>
      <Ways inWork={inWork} onWrong={() => setWrong(true)} onRepeat={repeat} />
      <WentWrong
        open={wrong}
        end={end}
        causes={step.goesWrong}
        lostM={lostOnFailureMm(card, index) / 1000}
        onClose={() => setWrong(false)}
        onFailed={(cause, lostM) => {
          inWork.fail(cause, lostM);
          setWrong(false);
        }}
        onDeviation={(what) => {
          inWork.deviate(what);
          setWrong(false);
        }}
      />
      <CardOptions open={options} onOpenChange={setOptions} />
    </main>
  );
}

/** A tap on the card itself, not on something that does a thing of its own, and not the end of marking text. */
const isFreeGround = ({ target }: MouseEvent): boolean =>
  target instanceof Element &&
  target.closest('button, a, input, label, select, summary, [role=dialog]') === null &&
  (getSelection()?.isCollapsed ?? true);

function useCardKeys({
  inWork,
  free,
  repeat,
  leave,
  onWrong,
  onOptions,
}: {
  inWork: CardInWork;
  free: boolean;
  repeat: () => void;
  leave: () => void;
  onWrong: () => void;
  onOptions: () => void;
}): void {
  const { card: how } = usePreferences();
  const { pedal } = how;
  useKeys('space', inWork.goOn, { preventDefault: true, enabled: free });
  useKeys('b, backspace', inWork.goBack, { preventDefault: true, enabled: free });
  useKeys('w', onWrong, { preventDefault: true, enabled: free });
  useKeys('o', onOptions, { preventDefault: true, enabled: free });
  useKeys('r', repeat, { enabled: free });
  useKeys('esc', leave, { enabled: free });
  // A pedal is a keyboard with one key; whichever it sends goes on, even from within a field.
  const { goOn } = inWork;
  useEffect(() => {
    if (pedal === '' || !free) return undefined;
    const press = (event: KeyboardEvent): void => {
      if (event.code !== pedal) return;
      event.preventDefault();
      goOn();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [pedal, free, goOn]);
}

function useVoice({
  inWork,
  free,
  read,
  repeat,
  onWrong,
  onTimer,
}: {
  inWork: CardInWork;
  free: boolean;
  read: (ohm: number) => void;
  repeat: () => void;
  onWrong: () => void;
  onTimer: () => void;
}): void {
  const { card: how, set } = usePreferences();
  const act = (command: SpokenCommand): void => {
    if (command.kind === 'value') {
      const value = parseResistance(command.text);
      if (inWork.step.reading && value.ok) read(value.value);
      else
        toast(inWork.step.reading ? `“${command.text}” is no resistance.` : 'This step asks for no reading.');
      return;
    }
    const does = { next: inWork.goOn, back: inWork.goBack, repeat, wrong: onWrong, timer: onTimer };
    does[command.kind]();
  };
  useListening(how.listen && free, act, (why) => {
    toast.error(why, { duration: 12_000 });
    set({ card: { ...how, listen: false } });
  });
}

function Head({
  card,
  end,
  onOptions,
  onLeave,
}: {
  card: Card;
  end: EndSheet;
  onOptions: () => void;
  onLeave: () => void;
}): ReactNode {
  const { card: how } = usePreferences();
  const on = [
    how.touch && 'by touch',
    how.speak && 'spoken',
    how.listen && 'listening',
    how.tap && 'tap goes on',
  ];
  const modes = on.filter(Boolean).join(', ');
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-4">
      <p className="text-lg">
        <strong>{end.name}</strong>{' '}
        <span className="text-muted">
          {card.part.name}, on {card.cable.name}
        </span>
      </p>
      <p className="flex flex-wrap gap-x-5">
        <button
          className="min-h-9 text-muted underline underline-offset-4 hover:decoration-2"
          onClick={onOptions}
        >
          Options{modes === '' ? '' : `: ${modes}`} <kbd className="key hidden md:inline">O</kbd>
        </button>
        <button
          className="min-h-9 text-muted underline underline-offset-4 hover:decoration-2"
          onClick={onLeave}
        >
          <span className="hidden md:inline">Esc leaves, nothing is lost</span>
          <span className="md:hidden">Leave</span>
        </button>
      </p>
    </div>
  );
}

/** The one key, and the two others. */
function Ways({
  inWork,
  onWrong,
  onRepeat,
}: {
  inWork: CardInWork;
  onWrong: () => void;
  onRepeat: () => void;
}): ReactNode {
  return (
    <div className="sticky bottom-0 grid grid-cols-3 gap-3 bg-sheet pb-2 md:grid-cols-[minmax(0,3fr)_repeat(3,minmax(0,1fr))] [@media(max-height:519px)]:grid-cols-[minmax(0,3fr)_repeat(3,minmax(0,1fr))] [@media(max-height:519px)]:gap-1">
      <button
        className="col-span-3 flex min-h-20 items-center justify-between gap-3 rounded bg-ink px-6 text-left text-xl font-bold text-on-ink md:col-span-1 [@media(max-height:519px)]:col-span-1 [@media(max-height:519px)]:min-h-12 [@media(max-height:519px)]:px-3 [@media(max-height:519px)]:text-base"
        onClick={inWork.goOn}
      >
        {inWork.label}
        <span className="figures hidden text-lg font-normal md:inline">Space</span>
      </button>
      <Other label="Back" name="B" onClick={inWork.goBack} />
      <Other label="It went wrong" name="W" onClick={onWrong} />
      <Other label="Say it again" name="R" onClick={onRepeat} />
    </div>
  );
}

function Other({ label, name, onClick }: { label: string; name: string; onClick: () => void }): ReactNode {
  return (
    <button
      className="min-h-16 rounded border-2 border-ink bg-paper text-base leading-tight font-bold md:text-lg [@media(max-height:519px)]:min-h-12 [@media(max-height:519px)]:text-sm"
      onClick={onClick}
    >
      {label}
      <span className="figures block text-sm font-normal text-muted [@media(max-height:519px)]:hidden">
        {name}
      </span>
    </button>
  );
}
