import {
  findAssembly,
  formatFigure,
  formatLength,
  parseElectrical,
  parseTolerance,
  stageHeadline,
  type Assembly,
  type Sheet,
} from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { useOpenRun } from '../../store/RunContext.js';
import { Methods } from '../../ui/Choice.js';
import { TextField } from '../../ui/TextField.js';
import { SameAs } from './SameAs.js';
import { Sets } from './Sets.js';
import { TrimCoach } from './TrimCoach.js';
import { schoolsOfCutting } from '../../ui/schools.js';
import { FigureText } from '../../ui/FigureText.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { Rows } from '../../ui/Rows.js';
import { StagePage } from '../../ui/StagePage.js';
import { StateMark } from '../../ui/StateMark.js';
import { usePractice } from '../../store/usePractice.js';
import { FrequencyField } from '../../ui/unitFields.js';

type Cut = Sheet['cuts'][number];

/** What to take off the reel for each piece, and whether its length matters. */
export function CutScreen(): ReactNode {
  const { sheet, jobId, id: runId, editor } = useOpenRun();
  const { units } = usePreferences();
  return (
    <StagePage headline={stageHeadline('cut', sheet, editor.design, units)}>
      <ul className="divide-y divide-rule border-y border-rule">
        {sheet.cuts.map((cut) => (
          <Piece key={cut.pieceId} cut={cut} />
        ))}
      </ul>
      <Sets />
      <p className="mt-4 flex flex-wrap gap-2">
        <Link className="button" to={`/jobs/${jobId}/reels`}>
          Cut all pieces of the job from reels and offcuts
        </Link>
        <Link className="button" to={`/runs/${runId}/match`}>
          Transformer, stub, balun, delay or choke
        </Link>
      </p>
      <PracticeOfCutting />
    </StagePage>
  );
}

function Piece({ cut }: { cut: Cut }): ReactNode {
  const { writer, editor } = useOpenRun();
  const { units } = usePreferences();
  const piece = findAssembly(editor.design, cut.pieceId);
  const lengthText = (metres: number): string => formatLength(metres, { system: units, digits: 3 });
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <h2 className="flex items-center gap-2 text-lg font-bold">
          <StateMark state={cut.done ? 'done' : 'not started'} /> {cut.name}{' '}
          <span className="font-normal text-muted">
            {cut.cable.name}
            {piece?.count && piece.count > 1 ? `, ${piece.count} of the same` : ''}
          </span>
        </h2>
        <CutDrawing cut={cut} />
        <p className="text-muted">{cut.why}</p>
        {cut.electrical && (
          <p className="mt-1">
            Exact <strong className="figures">{lengthText(cut.electrical.exactM)}</strong>, shop constant 468{' '}
            <strong className="figures">{lengthText(cut.electrical.shopM)}</strong>: the shop’s is{' '}
            <strong className="figures">
              {formatLength(cut.electrical.differenceM, { system: units, small: true })}
            </strong>{' '}
            shorter, {cut.electrical.differenceDeg.toFixed(1)}° of phase. 468 holds the end effect of a wire
            in air, which a cable does not have; it survives because people trim. The ends count{' '}
            {formatLength(cut.electrical.connectorsM, { system: units, small: true })} of it.
          </p>
        )}
        {piece?.target && <TrimCoach piece={piece} />}
      </div>
      <div>
        <Rows
          rows={[
            [
              cut.electrical ? 'Off the reel, by the data sheet' : 'Off the reel',
              <FigureText key="cut" figure={cut.cut} className="text-lg font-bold" />,
            ],
            ['Finished', <FigureText key="finished" figure={cut.finished} />],
            ['Phase as drawn', <FigureText key="deg" figure={cut.degrees} />],
          ]}
        />
        <p className="mt-1 text-sm text-muted">Measured {cut.planes}.</p>
        <Target pieceId={cut.pieceId} />
        {!cut.done && (
          <button
            className="button button-primary mt-3"
            onClick={() => writer.add({ kind: 'cut', pieceId: cut.pieceId, lengthM: cut.cut.value })}
          >
            Mark as cut
          </button>
        )}
      </div>
    </li>
  );
}

/** The electrical length asked for, if any. */
function Target({ pieceId }: { pieceId: string }): ReactNode {
  const { editor, sheet } = useOpenRun();
  const piece = findAssembly(editor.design, pieceId);
  if (!piece) return null;
  const { target, ...plain } = piece;
  const set = (to: Assembly['target']): void =>
    editor.change([{ op: 'set piece', piece: to ? { ...plain, target: to } : plain }]);
  if (!target) {
    return (
      <button
        className="mt-2 mr-4 text-sm underline underline-offset-4 hover:decoration-2"
        onClick={() => set({ degrees: 90, frequencyHz: sheet.topHz })}
      >
        Cut to electrical length
      </button>
    );
  }
  return (
    <div className="mt-2 grid grid-cols-2 gap-2">
      <QuantityField
        label="Electrical length"
        value={target.degrees}
        format={(degrees) => `${Number(degrees.toFixed(3))}°`}
        parse={(text) => parseElectrical(text, target.frequencyHz)}
        onChange={(degrees) => set({ ...target, degrees })}
        hint="90°, 1/4 wave, 2.5 ns"
      />
      <FrequencyField
        label="At"
        value={target.frequencyHz}
        onChange={(frequencyHz) => set({ ...target, frequencyHz })}
      />
      <QuantityField
        label="Tolerance, either way"
        value={target.tolerance}
        placeholder={piece.set ? '2°' : '1°'}
        format={({ value, unit }) => (unit === 'deg' ? `${value}°` : `${value} ${unit}`)}
        parse={parseTolerance}
        onChange={(tolerance) => set({ ...target, tolerance })}
        hint={piece.set ? 'shared by the set: each piece has a quarter' : '1°, 3 mm, 10 ps'}
      />
      <SameAs
        piece={piece}
        frequencyHz={target.frequencyHz}
        onTake={(degrees) => set({ ...target, degrees })}
      />
      <div className="col-span-2">
        <TextField
          label="Set: cut from one lot, compared"
          value={piece.set ?? ''}
          maxLength={40}
          allowEmpty
          onChange={(to) => {
            const { set: _, ...rest } = piece;
            editor.change([{ op: 'set piece', piece: to === '' ? rest : { ...rest, set: to } }]);
          }}
        />
      </div>
      <button
        className="col-span-2 justify-self-start text-sm underline underline-offset-4 hover:decoration-2"
        onClick={() => set(undefined)}
      >
        Remove the electrical length
      </button>
    </div>
  );
}

/** The piece with its reference planes, and where the cable is cut beyond or behind them (drawn larger than true). */
function CutDrawing({ cut }: { cut: Cut }): ReactNode {
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const longer = cut.cut.value >= cut.finished.value;
  const [outer, inner] = [30, 58];
  const cutX = longer ? outer : inner;
  const planeX = longer ? inner : outer;
  const finished = formatFigure(cut.finished, units);
  const off = formatFigure(cut.cut, units);
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={104}
          role="img"
          aria-label={`${cut.name}: cut ${off}, finished ${finished} ${cut.planes}.`}
        >
          <rect x={cutX} y={44} width={width - 2 * cutX} height={12} fill="var(--ink)" />
          {[planeX, width - planeX].map((x) => (
            <path key={x} d={`M${x} 18V84`} stroke="var(--edge)" strokeDasharray="7 3 2 3" />
          ))}
          {[cutX, width - cutX].map((x) => (
            <path key={x} d={`M${x} 36V98`} stroke="var(--ink)" strokeWidth={2} />
          ))}
          <path d={`M${planeX} 24H${width - planeX}`} stroke="var(--ink)" />
          <path d={`M${cutX} 90H${width - cutX}`} stroke="var(--ink)" />
          <text x={width / 2} y={19} fontSize={13} textAnchor="middle" className="figures">
            finished {finished}
          </text>
          <text
            x={width / 2}
            y={84}
            fontSize={15}
            fontWeight={700}
            textAnchor="middle"
            className="figures"
            fill="var(--ink)"
          >
            cut {off}
          </text>
        </svg>
      )}
    </div>
  );
}

function PracticeOfCutting(): ReactNode {
  const [practice, set] = usePractice();
  return (
    <div className="mt-6 max-w-2xl">
      <Methods
        label="Which constant the shop cuts by"
        value={practice.cutSchool}
        options={schoolsOfCutting}
        onChange={(cutSchool) => set({ cutSchool })}
      />
    </div>
  );
}
