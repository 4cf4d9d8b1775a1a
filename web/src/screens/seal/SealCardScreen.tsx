import {
  parseCelsius,
  parseTorque,
  sealSteps,
  sealSystem,
  type SealStep,
  type WrapSheet,
} from '@kobran/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RunPhotos } from '../../frame/RunPhotos.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useWorkProgress } from '../../store/useWorkProgress.js';
import { Message } from '../../ui/Message.js';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { hasEars, hasVoice, say, useListening } from '../../ui/speech.js';
import { Caution } from '../../ui/StagePage.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
import { useKeys } from '../../ui/useKeys.js';
import { useWakeLock } from '../../ui/useWakeLock.js';
import { DripLoopDrawing } from './DripLoopDrawing.js';
import { SealDrawing } from './SealDrawing.js';
import {
  backOne,
  freshSeal,
  press,
  readSealProgress,
  sealedFact,
  stepAt,
  type SealProgress,
} from './sealProgress.js';

/** For the phone at the joint: one thing a step, one key, until it is sealed and in the log. */
export function SealCardScreen(): ReactNode {
  const { jointId = '' } = useParams();
  const { sheet, id } = useOpenRun();
  const joint = sheet.wraps.find((one) => one.jointId === jointId);
  const back = { label: 'Back to Seal', to: `/runs/${id}/seal` };
  if (!joint) return <Message title="This joint is not in the run any more, or stays dry" action={back} />;
  if (!joint.wrap || !joint.system)
    return <Message title={`${joint.name} has no card: no layers seal it as it stands`} action={back} />;
  return <OpenSeal key={jointId} joint={joint} />;
}

function OpenSeal({ joint }: { joint: WrapSheet }): ReactNode {
  const { id } = useOpenRun();
  const { units } = usePreferences();
  const kept = useWorkProgress(id, `seal ${joint.jointId}`, readSealProgress);
  if (!kept || !joint.wrap || !joint.system) return <Message title="One moment…" />;
  const steps = sealSteps({
    plan: joint.wrap,
    system: sealSystem(joint.system),
    profile: joint.profile,
    torqueNm: joint.torqueNm,
    salt: joint.zone === 'salt',
    staysOpen: joint.staysOpen,
    aloft: joint.aloft,
    loop: joint.dripLoop,
    units,
  });
  return (
    <RunningSeal joint={joint} steps={steps} progress={kept.body ?? freshSeal(steps)} keep={kept.keep} />
  );
}

interface Running {
  joint: WrapSheet;
  steps: readonly SealStep[];
  progress: SealProgress;
  keep: (progress: SealProgress | undefined) => void;
}

function RunningSeal({ joint, steps, progress, keep }: Running): ReactNode {
  const { id, writer } = useOpenRun();
  const { card: how } = usePreferences();
  const navigate = useNavigate();
  const [hint, setHint] = useState('');
  const heading = useRef<HTMLHeadingElement>(null);
  const k = stepAt(steps, progress);
  const step = steps[k];
  useWakeLock();
  useEffect(() => heading.current?.focus(), [k]);
  useEffect(() => {
    if (how.speak && hasVoice()) say(spokenOf(step));
  }, [step, how.speak]);

  const change = (to: SealProgress): void => {
    setHint('');
    keep(to);
  };
  const leave = (): void => void navigate(`/runs/${id}/seal`);
  const goOn = (): void => {
    const pressed = press(steps, progress, joint);
    if (pressed.kind === 'moved') change(pressed.progress);
    else if (pressed.kind === 'blocked') setHint(pressed.why);
    else {
      writer.add(sealedFact(joint, progress));
      keep(undefined);
      leave();
    }
  };
  const goBack = (): void => change(backOne(steps, progress));
  useKeys('space', goOn, { preventDefault: true });
  useKeys('b, backspace', goBack, { preventDefault: true });
  useKeys('r', () => say(spokenOf(step)));
  useKeys('esc', leave);
  useListening(
    how.listen && hasEars(),
    (command) => {
      if (command.kind === 'next') goOn();
      else if (command.kind === 'back') goBack();
      else if (command.kind === 'repeat') say(spokenOf(step));
      else if (command.kind === 'value') change(heard(step, progress, command.text));
    },
    setHint,
  );
  const next = steps.at(k + 1);
  return (
    <main className="flex min-h-screen flex-col px-4 py-3 md:px-10 md:py-5">
      <p className="flex justify-between gap-3 text-lg">
        <span>
          <strong>{joint.name}</strong> <span className="text-muted">{joint.between.join(' to ')}</span>
        </span>
        <Link className="min-h-9 text-muted underline underline-offset-4" to={`/runs/${id}/seal`}>
          Leave
        </Link>
      </p>
      <p className="figures text-muted" aria-hidden="true">
        {k + 1} of {steps.length}
      </p>
      <h1 ref={heading} tabIndex={-1} className="mt-2 text-2xl leading-tight font-bold outline-none">
        <span className="sr-only">
          Step {k + 1} of {steps.length}:{' '}
        </span>
        {step.title}
      </h1>
      <p className="mt-2 text-xl">{step.text}</p>
      {step.caution && <Caution>{step.caution}</Caution>}
      <div className="mt-4 flex-1">
        {step.layer !== undefined && joint.wrap && (
          <SealDrawing sheet={joint} plan={joint.wrap} upTo={step.layer} goesOn />
        )}
        {step.id === 'loop' && joint.dripLoop && <DripLoopDrawing loop={joint.dripLoop} />}
        {step.id === 'photo' && <RunPhotos about={joint.jointId} of={joint.name} />}
        <Answer joint={joint} step={step} progress={progress} change={change} onWet={setHint} />
      </div>
      <p role="status" className="mt-2 min-h-7 text-lg font-bold text-stop">
        {hint}
      </p>
      <div className="sticky bottom-0 grid grid-cols-3 gap-3 bg-sheet pb-2">
        <button
          className="col-span-3 flex min-h-20 items-center justify-between gap-3 rounded bg-ink px-6 text-left text-xl font-bold text-on-ink"
          onClick={goOn}
        >
          {step.ask === 'dry' ? 'It is dry' : next ? `Next: ${lower(next.title)}` : 'Sealed: into the log'}
          <span className="figures hidden text-lg font-normal md:inline">Space</span>
        </button>
        <Other label="Back" name="B" onClick={goBack} />
        <Other label="Say it again" name="R" onClick={() => say(spokenOf(step))} />
        <Other label="Leave" name="Esc" onClick={leave} />
      </div>
    </main>
  );
}

/** What a step asks for. */
function Answer({
  joint: { unproved },
  step,
  progress,
  change,
  onWet,
}: {
  joint: WrapSheet;
  step: SealStep;
  progress: SealProgress;
  change: (to: SealProgress) => void;
  onWet: (why: string) => void;
}): ReactNode {
  switch (step.ask) {
    case undefined:
      return null;
    case 'proved':
      return unproved.length === 0 ? (
        <p className="text-lg font-semibold text-lake">Every reading beside it is in, and none fails.</p>
      ) : (
        <div className="max-w-xl">
          <p className="text-lg font-semibold text-caution">
            Not yet: {unproved.join(' and ')} {unproved.length === 1 ? 'has' : 'have'} readings to take.
          </p>
          <TextField
            label="Why it is sealed before"
            value={progress.unproved ?? ''}
            maxLength={300}
            onChange={(reason) => change({ ...progress, unproved: reason })}
          />
        </div>
      );
    case 'torque':
      return (
        <div className="grid max-w-xs gap-2">
          <QuantityField
            label="The spanner read, N·m"
            value={progress.torqueNm}
            format={String}
            parse={parseTorque}
            onChange={(torqueNm) => change({ ...progress, torqueNm })}
          />
          <Tick
            label="No torque spanner here"
            checked={progress.noSpanner ?? false}
            onChange={(noSpanner) => change({ ...progress, noSpanner })}
          />
        </div>
      );
    case 'dry':
      return (
        <button
          className="button min-h-16 text-lg"
          onClick={() =>
            onWet(
              'Stop: a seal keeps water in as well as out. Open the joint, dry it with a cloth and warm air, and answer again.',
            )
          }
        >
          It is wet or frozen
        </button>
      );
    case 'temperature':
      return (
        <div className="max-w-xs">
          <QuantityField
            label="Air at the joint"
            value={progress.celsius}
            format={(celsius) => `${celsius} °C`}
            parse={parseCelsius}
            onChange={(celsius) => change({ ...progress, celsius })}
          />
        </div>
      );
  }
}

/** A value which was spoken, where the step asks for one. */
function heard({ ask }: SealStep, progress: SealProgress, text: string): SealProgress {
  const celsius = ask === 'temperature' ? parseCelsius(text) : undefined;
  if (celsius?.ok) return { ...progress, celsius: celsius.value };
  const torque = ask === 'torque' ? parseTorque(text) : undefined;
  return torque?.ok ? { ...progress, torqueNm: torque.value } : progress;
}

const spokenOf = ({ title, text, caution }: SealStep): string =>
  [title, text, caution].filter(Boolean).join('. ');

const lower = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);

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
