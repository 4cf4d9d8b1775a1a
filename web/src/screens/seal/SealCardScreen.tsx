import {
  closureSteps,
  judgeTorque,
  parseCelsius,
  parseTorque,
  photosOf,
  sealSteps,
  sealSystem,
  type SealStep,
  type UnitSystem,
  type WrapSheet,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { RunPhotos } from '../../frame/RunPhotos.js';
import { StepCard } from '../../frame/StepCard.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useWorkProgress } from '../../store/useWorkProgress.js';
import { Message } from '../../ui/Message.js';
import { usePreferences } from '../../ui/Preferences.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { SignedBy } from '../../ui/SignedBy.js';
import { TextField } from '../../ui/TextField.js';
import { Tick } from '../../ui/Tick.js';
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
  if (!joint.wrap && !joint.closure)
    return <Message title={`${joint.name} has no card: nothing closes it as it stands`} action={back} />;
  return <OpenSeal key={jointId} joint={joint} />;
}

function OpenSeal({ joint }: { joint: WrapSheet }): ReactNode {
  const { id } = useOpenRun();
  const { units } = usePreferences();
  const kept = useWorkProgress(id, `seal ${joint.jointId}`, readSealProgress);
  const steps = stepsOf(joint, units);
  if (!kept || steps.length === 0) return <Message title="One moment…" />;
  return (
    <RunningSeal joint={joint} steps={steps} progress={kept.body ?? freshSeal(steps)} keep={kept.keep} />
  );
}

/** Of its layers, or of what closes it without. */
function stepsOf(joint: WrapSheet, units: UnitSystem): SealStep[] {
  const { wrap, system, closure, profile, torqueNm, zone, staysOpen, aloft, dripLoop: loop } = joint;
  const work = { torqueNm, salt: zone === 'salt', staysOpen, aloft };
  if (wrap && system)
    return sealSteps({ ...work, plan: wrap, system: sealSystem(system), profile, loop, units });
  return closure ? closureSteps(closure, work) : [];
}

interface Running {
  joint: WrapSheet;
  steps: readonly SealStep[];
  progress: SealProgress;
  keep: (progress: SealProgress | undefined) => void;
}

function RunningSeal({ joint, steps, progress, keep }: Running): ReactNode {
  const { id, writer, facts, practice } = useOpenRun();
  const { name } = usePreferences();
  const navigate = useNavigate();
  const [hint, setHint] = useState('');
  const k = stepAt(steps, progress);
  const step = steps[k];
  const leaveTo = `/runs/${id}/seal`;
  const change = (to: SealProgress): void => {
    setHint('');
    keep(to);
  };
  const goOn = (): void => {
    const pressed = press(steps, progress, joint);
    if (pressed.kind === 'moved') change(pressed.progress);
    else if (pressed.kind === 'blocked') setHint(pressed.why);
    else {
      writer.add(sealedFact(joint, progress, photosOf(facts, joint.jointId).length > 0));
      keep(undefined);
      void navigate(leaveTo);
    }
  };
  return (
    <StepCard
      name={joint.name}
      of={joint.between.join(' to ')}
      steps={steps}
      at={k}
      goOn={step.ask === 'dry' ? 'It is dry' : undefined}
      next="Sealed: into the log"
      onNext={goOn}
      onBack={() => change(backOne(steps, progress))}
      leaveTo={leaveTo}
      hint={hint}
      onHint={setHint}
      onHeard={(text) => change(heard(step, progress, text))}
    >
      {/* Who signs is asked before the first answer, and stays there until there is a name. */}
      {(name === '' || k === 0) && (
        <div className="max-w-xs">
          <SignedBy crew={practice.crew ?? []} />
        </div>
      )}
      {step.layer !== undefined && joint.wrap && (
        <SealDrawing sheet={joint} plan={joint.wrap} upTo={step.layer} goesOn />
      )}
      {step.id === 'loop' && joint.dripLoop && <DripLoopDrawing loop={joint.dripLoop} />}
      {step.id === 'photo' && <RunPhotos about={joint.jointId} of={joint.name} />}
      <Answer joint={joint} step={step} progress={progress} change={change} onWet={setHint} />
    </StepCard>
  );
}

const torqueTone = { pass: 'text-lake', caution: 'text-caution', fail: 'text-stop' };

/** What a step asks for. */
function Answer({
  joint: { unproved, torqueRange },
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
    case 'found':
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
    case 'torque': {
      const judged =
        torqueRange && progress.torqueNm !== undefined
          ? judgeTorque(torqueRange, progress.torqueNm)
          : undefined;
      return (
        <div className="grid max-w-xs gap-2">
          <QuantityField
            label="The spanner read, N·m"
            value={progress.torqueNm}
            format={String}
            parse={parseTorque}
            onChange={(torqueNm) => change({ ...progress, torqueNm })}
          />
          <div role="status">
            {judged && <p className={`text-lg font-semibold ${torqueTone[judged.verdict]}`}>{judged.why}</p>}
          </div>
          <Tick
            label="No torque spanner here"
            checked={progress.noSpanner ?? false}
            onChange={(noSpanner) => change({ ...progress, noSpanner })}
          />
        </div>
      );
    }
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
