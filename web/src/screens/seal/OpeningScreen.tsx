import { isObject, openedFinds, openingSteps, type OpenedFind, type WrapSheet } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { RunPhotos } from '../../frame/RunPhotos.js';
import { StepCard } from '../../frame/StepCard.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useWorkProgress } from '../../store/useWorkProgress.js';
import { Chips } from '../../ui/Choice.js';
import { Message } from '../../ui/Message.js';
import { TextField } from '../../ui/TextField.js';

/** For the phone at a sealed joint: transmitter off, seal off, a look inside, and what was found into the log. */
export function OpeningScreen(): ReactNode {
  const { jointId = '' } = useParams();
  const { sheet, id } = useOpenRun();
  const joint = sheet.wraps.find((one) => one.jointId === jointId);
  const back = { label: 'Back to Seal', to: `/runs/${id}/seal` };
  if (!joint) return <Message title="This joint is not in the run any more, or stays dry" action={back} />;
  if (!joint.sealed) return <Message title={`${joint.name} is not sealed`} action={back} />;
  return <Opening joint={joint} />;
}

const findNames: readonly (readonly [OpenedFind, string])[] = openedFinds.map((one) => [
  one,
  one.charAt(0).toUpperCase() + one.slice(1),
]);

/** How far it is, and what was answered; it outlives a reload, and goes on at another device. */
interface OpeningProgress {
  step: string;
  found?: OpenedFind;
  reason?: string;
}

function readProgress(value: unknown): OpeningProgress | undefined {
  if (!isObject(value) || typeof value.step !== 'string') return undefined;
  const { step, reason } = value;
  const found = openedFinds.find((one) => one === value.found);
  return { step, ...(found ? { found } : {}), ...(typeof reason === 'string' ? { reason } : {}) };
}

function Opening({ joint }: { joint: WrapSheet }): ReactNode {
  const { id, editor, writer } = useOpenRun();
  const navigate = useNavigate();
  const [hint, setHint] = useState('');
  const { powerW, dcFeed } = editor.design.service;
  const steps = openingSteps({
    system: joint.system,
    aloft: joint.aloft,
    transmits: powerW > 0,
    fed: dcFeed,
  });
  const kept = useWorkProgress(id, `open ${joint.jointId}`, readProgress);
  if (!kept) return <Message title="One moment…" />;
  const progress = kept.body ?? { step: steps[0].id };
  const at = Math.max(
    0,
    steps.findIndex((one) => one.id === progress.step),
  );
  const step = steps[at];
  const leaveTo = `/runs/${id}/seal`;
  const keep = (over: Partial<OpeningProgress>): void => {
    setHint('');
    kept.keep({ ...progress, ...over });
  };
  const goOn = (): void => {
    const { found, reason = '' } = progress;
    const next = steps.at(at + 1);
    if (step.ask === 'found' && found === undefined)
      setHint('Say what you found: the next one to open it wants to know.');
    else if (next) keep({ step: next.id });
    else {
      writer.add({
        kind: 'opened',
        jointId: joint.jointId,
        ...(joint.jointIds.length > 1 ? { with: joint.jointIds.slice(1) } : {}),
        ...(found ? { found } : {}),
        ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
      });
      kept.keep(undefined);
      void navigate(leaveTo);
    }
  };
  return (
    <StepCard
      name={`Open ${joint.name}`}
      of={joint.between.join(' to ')}
      steps={steps}
      at={at}
      next="Opened: into the log"
      onNext={goOn}
      onBack={() => keep({ step: steps[Math.max(0, at - 1)].id })}
      leaveTo={leaveTo}
      hint={hint}
      onHint={setHint}
    >
      {step.ask === 'found' && (
        <div className="grid max-w-xl gap-4">
          <Chips
            legend="Found"
            value={progress.found}
            options={findNames}
            onChange={(found) => keep({ found })}
          />
          <TextField
            label="Why it was opened"
            value={progress.reason ?? ''}
            maxLength={300}
            allowEmpty
            onChange={(reason) => keep({ reason })}
          />
        </div>
      )}
      {step.id === 'photo' && <RunPhotos about={joint.jointId} of={joint.name} />}
    </StepCard>
  );
}
