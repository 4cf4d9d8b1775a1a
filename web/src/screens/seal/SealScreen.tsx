import { formatLength, stageHeadline, type WrapSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Schools } from '../../ui/Choice.js';
import { schoolsOfTape } from '../../ui/schools.js';
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
      reason="Vinyl tape alone is not a seal, nor is plain heat-shrink. Never wrap a wet or frozen joint."
    >
      {sheet.wraps.length > 0 && (
        <div className="max-w-2xl">
          <Schools
            label="How hard the rubber is stretched"
            value={practice.tapeStretch}
            options={schoolsOfTape}
            onChange={(tapeStretch) => setPractice({ tapeStretch })}
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
  const { wrap, number, between, zone, jointId } = sheet;
  const { units } = usePreferences();
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <h2 className="text-lg font-bold">
          J{number}, {zone} <span className="font-normal text-muted">{between.join(' to ')}</span>
        </h2>
        <WrapDrawing sheet={sheet} />
        <ol className="mt-2 list-decimal space-y-1 pl-5">
          {wrap.instructions.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      </div>
      <div>
        <Rows
          rows={[
            ['Rubber to cut', <FigureText key="r" figure={wrap.rubber} className="text-lg font-bold" />],
            ['Vinyl over it', <FigureText key="v" figure={wrap.vinyl} />],
            ['Wrapped length', <FigureText key="l" figure={wrap.length} />],
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
        <div className="mt-3">
          <DoneButton
            fact={{ kind: 'sealed', jointId, passes: wrap.rubberPasses }}
            label={`Mark J${number} as sealed`}
            done="Sealed"
          />
        </div>
      </div>
    </li>
  );
}
