import {
  formatLength,
  housingKinds,
  sealWords,
  stageHeadline,
  type SealSystemId,
  type WrapSheet,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { DoneButton } from '../../frame/DoneButton.js';
import { RunPhotos } from '../../frame/RunPhotos.js';
import { useOpenRun } from '../../store/RunContext.js';
import { usePractice } from '../../store/usePractice.js';
import { Choice } from '../../ui/Choice.js';
import { sayDay } from '../../ui/dates.js';
import { FigureText } from '../../ui/FigureText.js';
import { usePreferences } from '../../ui/Preferences.js';
import { Rows } from '../../ui/Rows.js';
import { StagePage } from '../../ui/StagePage.js';
import { DripLoopDrawing } from './DripLoopDrawing.js';
import { SealDrawing } from './SealDrawing.js';
import { JointMethod } from './JointMethod.js';
import { SealMethods } from './SealMethods.js';
import { sealedFact } from './sealProgress.js';

/** Each exposed joint’s profile with its layers, and what to cut. */
export function SealScreen(): ReactNode {
  const { sheet, editor } = useOpenRun();
  const { units } = usePreferences();
  const [practice, setPractice] = usePractice();
  return (
    <StagePage
      headline={stageHeadline('seal', sheet, editor.design, units)}
      reason="Vinyl tape alone is not a seal, nor is plain heat-shrink. Never seal a wet or frozen joint."
    >
      {sheet.wraps.length > 0 && <SealMethods practice={practice} onChange={setPractice} />}
      <ul className="mt-4 divide-y divide-rule border-y border-rule">
        {sheet.wraps.map((wrap) => (
          <Joint key={wrap.jointId} sheet={wrap} />
        ))}
      </ul>
    </StagePage>
  );
}

function Joint({ sheet }: { sheet: WrapSheet }): ReactNode {
  const { wrap, name, between, zone, jointId, instructions, sealed, inspectionDue } = sheet;
  const { id } = useOpenRun();
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <h2 className="text-lg font-bold">
          {name}, {zone} <span className="font-normal text-muted">{between.join(' to ')}</span>
        </h2>
        {wrap && <SealDrawing sheet={sheet} plan={wrap} />}
        {wrap && sheet.dripLoop && !sheet.sealed && <DripLoopDrawing loop={sheet.dripLoop} />}
        <Housings sheet={sheet} />
        <ul className="mt-2 list-disc space-y-1 pl-5">
          {instructions.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </div>
      <div>
        <JointMethod sheet={sheet} />
        <Figures sheet={sheet} />
        <div className="mt-3 flex flex-wrap items-center gap-3">
          {wrap && !sealed && (
            <Link className="button button-primary" to={`/runs/${id}/seal/${encodeURIComponent(jointId)}`}>
              Open the seal card
            </Link>
          )}
          <MarkAsSealed sheet={sheet} />
        </div>
        <div className="mt-3">
          <RunPhotos about={jointId} of={name} />
        </div>
        {inspectionDue && <p className="mt-2">Look at it again by {sayDay(inspectionDue)}.</p>}
        {sealed && sheet.system && <Opening system={sheet.system} />}
      </div>
    </li>
  );
}

/** For who did it without the card. */
function MarkAsSealed({ sheet }: { sheet: WrapSheet }): ReactNode {
  return (
    <DoneButton
      fact={sealedFact(sheet, { step: '' })}
      label={`Mark ${sheet.name} as sealed`}
      done="Sealed"
      plain={sheet.wrap !== undefined}
    />
  );
}

function Figures({ sheet: { wrap, inspectionMonths } }: { sheet: WrapSheet }): ReactNode {
  const { units } = usePreferences();
  if (!wrap) return null;
  const [first, ...others] = wrap.materials.map((material, k): [string, ReactNode] => [
    material.name,
    <FigureText
      key={material.id}
      figure={material.amount}
      className={k === 0 ? 'text-lg font-bold' : undefined}
    />,
  ]);
  return (
    <>
      <Rows
        rows={[
          first,
          ...others,
          ['Length in all', <FigureText key="l" figure={wrap.length} />],
          ['Finished diameter', <FigureText key="d" figure={wrap.finishedDiameter} />],
          ['Takes', <FigureText key="t" figure={wrap.minutes} />],
          ['From', `${wrap.lowestC} °C, dry`],
          ...(inspectionMonths === undefined
            ? []
            : [['Look again after', `${inspectionMonths} months`] as [string, ReactNode]]),
        ]}
      />
      <ol className="mt-2 text-sm text-muted">
        {wrap.layers.map(({ name, tape }) => (
          <li key={name}>
            {name}
            {tape &&
              `: ${tape.turns.toFixed(1)} turns ${tape.direction === 'up' ? 'upwards' : 'downwards'}, ${formatLength(tape.tapeM, { system: units, small: true, digits: 0 })}`}
          </li>
        ))}
      </ol>
    </>
  );
}

/** For who has to get at a sealed joint. */
function Opening({ system }: { system: SealSystemId }): ReactNode {
  return (
    <details className="mt-2">
      <summary className="cursor-pointer underline underline-offset-4">How it is opened</summary>
      <ol className="mt-1 list-decimal space-y-1 pl-5">
        {sealWords[system].opening.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
    </details>
  );
}

/** What a joint in the ground is put into: tape never seals it. */
function Housings({ sheet: { zone, housing, jointId } }: { sheet: WrapSheet }): ReactNode {
  const { editor } = useOpenRun();
  if (zone !== 'buried') return null;
  return (
    <div className="mt-1 max-w-xs">
      <Choice
        label="In the ground it lies in"
        value={housing ?? ''}
        options={[
          ...(housing ? [] : [{ value: '', label: 'nothing yet' }]),
          { value: 'pit', label: 'a drained pit' },
          { value: 'box', label: 'a box rated for earth' },
          { value: 'splice', label: 'a rated resin or gel splice' },
        ]}
        onChange={(to) => {
          const kind = housingKinds.find((one) => one === to);
          if (kind) editor.change([{ op: 'set housing', housing: { joint: jointId, kind } }]);
        }}
      />
    </div>
  );
}
