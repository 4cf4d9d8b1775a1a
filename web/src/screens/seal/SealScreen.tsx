import { formatLength, housingKinds, stageHeadline, type WrapSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Choice, Methods } from '../../ui/Choice.js';
import { schoolsOfLap, schoolsOfTape } from '../../ui/schools.js';
import { FigureText } from '../../ui/FigureText.js';
import { Rows } from '../../ui/Rows.js';
import { StagePage } from '../../ui/StagePage.js';
import { DoneButton } from '../../frame/DoneButton.js';
import { usePractice } from '../../store/usePractice.js';
import { WrapDrawing } from './WrapDrawing.js';

/** Each exposed joint’s profile with its wrap, and the tape to cut. */
export function SealScreen(): ReactNode {
  const { sheet, editor } = useOpenRun();
  const { units } = usePreferences();
  const [practice, setPractice] = usePractice();
  return (
    <StagePage
      headline={stageHeadline('seal', sheet, editor.design, units)}
      reason="Vinyl tape alone is not a seal, nor is plain heat-shrink. Never seal a wet or frozen joint."
    >
      {sheet.wraps.length > 0 && (
        <div className="grid max-w-4xl gap-x-8 md:grid-cols-2">
          <Methods
            label="How hard the rubber is stretched"
            value={practice.tapeStretch}
            options={schoolsOfTape}
            onChange={(tapeStretch) => setPractice({ tapeStretch })}
          />
          <Methods
            label="How far each turn overlaps the last"
            value={practice.tapeLap ?? 'half'}
            options={schoolsOfLap}
            onChange={(tapeLap) => setPractice({ tapeLap })}
          />
        </div>
      )}
      <ul className="mt-4 divide-y divide-rule border-y border-rule">
        {sheet.wraps.map((wrap) => (
          <Joint key={wrap.jointId} sheet={wrap} />
        ))}
      </ul>
    </StagePage>
  );
}

function Joint({ sheet }: { sheet: WrapSheet }): ReactNode {
  const { wrap, name, between, zone, jointId, jointIds, instructions } = sheet;
  const { units } = usePreferences();
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <h2 className="text-lg font-bold">
          {name}, {zone} <span className="font-normal text-muted">{between.join(' to ')}</span>
        </h2>
        {wrap && <WrapDrawing sheet={sheet} wrap={wrap} />}
        <Housings sheet={sheet} />
        <ol className="mt-2 list-decimal space-y-1 pl-5">
          {instructions.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      </div>
      <div>
        {wrap && (
          <>
            <Rows
              rows={[
                ['Rubber to cut', <FigureText key="r" figure={wrap.rubber} className="text-lg font-bold" />],
                ['Vinyl over it', <FigureText key="v" figure={wrap.vinyl} />],
                ['Length under tape', <FigureText key="l" figure={wrap.length} />],
                ['Finished diameter', <FigureText key="d" figure={wrap.finishedDiameter} />],
              ]}
            />
            <ol className="mt-2 text-sm text-muted">
              {wrap.passes.map((pass, k) => (
                <li key={k}>
                  Pass {k + 1}: {pass.tape.name}, {pass.turns.toFixed(1)} turns,{' '}
                  {formatLength(pass.tapeM, { system: units, small: true, digits: 0 })}
                </li>
              ))}
            </ol>
          </>
        )}
        <div className="mt-3">
          <DoneButton
            fact={{
              kind: 'sealed',
              jointId,
              ...(wrap ? { passes: wrap.rubberPasses } : {}),
              ...(jointIds.length > 1 ? { with: jointIds.slice(1) } : {}),
            }}
            label={`Mark ${name} as sealed`}
            done="Sealed"
          />
        </div>
      </div>
    </li>
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
