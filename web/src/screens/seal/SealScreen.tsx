import {
  housingKinds,
  layerText,
  stageHeadline,
  type ClosurePlan,
  type SealPlan,
  type FactBody,
  type LowerSource,
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
  const { wrap, closure, name, between, zone, jointId, instructions, sealed, inspectionDue } = sheet;
  const { id } = useOpenRun();
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <h2 className="text-lg font-bold">
          {name}, {zone} <span className="font-normal text-muted">{between.join(' to ')}</span>
        </h2>
        {wrap && <SealDrawing sheet={sheet} plan={wrap} />}
        {wrap && <LayerList sheet={sheet} plan={wrap} />}
        {wrap && sheet.dripLoop && !sheet.sealed && <DripLoopDrawing loop={sheet.dripLoop} />}
        <Housings sheet={sheet} />
        <LowerSide sheet={sheet} />
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
          {(wrap ?? closure) && !sealed && (
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
        {sealed && <Opening sheet={sheet} />}
      </div>
    </li>
  );
}

const lowerFrom: Record<LowerSource, string> = {
  said: 'as said here',
  'drip loop': 'by its drip loop: the cable outside comes up to the plate from below',
  heights: 'by the heights of the route',
  assumed: 'not known: say it, or tape may gather water',
};

/** From which side the cable comes up to the joint: tape goes on from there upwards. */
function LowerSide({ sheet: { jointId, name, hang, between, system } }: { sheet: WrapSheet }): ReactNode {
  const { editor } = useOpenRun();
  if (!system) return null;
  return (
    <div className="mt-2 max-w-md">
      <Choice
        label={`Lower side of ${name}`}
        value={hang.lower}
        options={[
          { value: 'radio', label: `towards the radio (${between[0]})` },
          { value: 'antenna', label: `towards the antenna (${between[1]})` },
        ]}
        hint={`${lowerFrom[hang.from]}${hang.flange ? '; the tape ends at the flange' : ''}`}
        onChange={(lower) =>
          editor.change([
            { op: 'set hang', hang: { joint: jointId, lower: lower === 'antenna' ? 'antenna' : 'radio' } },
          ])
        }
      />
    </div>
  );
}

/** Each layer from an edge which a hand finds, as its card says it. */
function LayerList({ sheet: { profile }, plan }: { sheet: WrapSheet; plan: SealPlan }): ReactNode {
  const { units } = usePreferences();
  return (
    <ol className="mt-2 list-decimal space-y-1 pl-5">
      {plan.layers.map((layer) => (
        <li key={layer.name}>
          <span className="font-semibold">{layer.name}.</span> {layerText(layer, { profile, units })}
        </li>
      ))}
    </ol>
  );
}

/** For who did it without the card. */
function MarkAsSealed({ sheet }: { sheet: WrapSheet }): ReactNode {
  const { writer } = useOpenRun();
  const fact = sealedFact(sheet, { step: '' });
  const label = `Mark ${sheet.name} as sealed`;
  // A seal which was opened since is done no more.
  return sheet.sealed ? (
    <DoneButton fact={fact} label={label} done="Sealed" />
  ) : (
    <button
      className={(sheet.wrap ?? sheet.closure) ? 'button' : 'button button-primary'}
      onClick={() => writer.add(fact)}
    >
      {label}
    </button>
  );
}

function Figures({ sheet }: { sheet: WrapSheet }): ReactNode {
  const { wrap, closure, inspectionMonths } = sheet;
  if (closure) return <ClosureFigures closure={closure} />;
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
    </>
  );
}

/** What closes a joint without layers: how many of what, how long, and how warm. */
function ClosureFigures({ closure }: { closure: ClosurePlan }): ReactNode {
  return (
    <Rows
      rows={[
        ...closure.materials.map(({ id, name, amount }): [string, ReactNode] => [
          name,
          <FigureText key={id} figure={amount} />,
        ]),
        ['Takes', <FigureText key="t" figure={closure.minutes} />],
        ['From', `${closure.lowestC} °C, dry`],
      ]}
    />
  );
}

/** For who has to get at a sealed joint, and for who marked the wrong one. */
function Opening({ sheet: { jointId, jointIds, name } }: { sheet: WrapSheet }): ReactNode {
  const { id, writer } = useOpenRun();
  const mistaken: FactBody = {
    kind: 'opened',
    jointId,
    ...(jointIds.length > 1 ? { with: jointIds.slice(1) } : {}),
  };
  return (
    <p className="mt-2 flex flex-wrap gap-3">
      <Link className="button" to={`/runs/${id}/seal/${encodeURIComponent(jointId)}/open`}>
        Open {name}
      </Link>
      <button className="button" onClick={() => writer.add(mistaken)}>
        {name} was not sealed
      </button>
    </p>
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
