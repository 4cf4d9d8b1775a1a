import { traceOf, routes, type KnownInstrument, type SweepSetup } from '@kobran/contract';
import {
  formatLength,
  resonanceOfDelay,
  resonancesOf,
  wantedS,
  type Assembly,
  type TrimGoal,
  type TrimReading,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { call } from '../../store/client.js';
import { Calibrate } from '../../frame/Calibrate.js';
import { useDoing, useInstruments, type Instruments } from '../../store/useInstruments.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useOpenRun } from '../../store/RunContext.js';

const POINTS = 2001;
const AVERAGES = 4;

/** Around the resonance the finished piece will have: a first cut’s excess is within it. */
function setupFor(goal: TrimGoal): SweepSetup {
  const endHz = resonanceOfDelay(wantedS(goal), 'open', 1);
  return {
    startHz: Math.round(endHz * 0.6),
    stopHz: Math.round(endHz * 1.25),
    points: POINTS,
    averages: AVERAGES,
    ports: 1,
  };
}

interface Props {
  piece: Assembly;
  goal: TrimGoal;
  /** Cable between its cut ends now, m. */
  lengthM: number | undefined;
  /** What the coach asks to cut to, m. */
  cutToM: number | undefined;
  onRead: (reading: TrimReading) => void;
}

/** Reads the resonance from a connected analyser; on the simulated bench the piece is laid and cut here too. */
export function AnalyserReading(props: Props): ReactNode {
  const { id: runId } = useOpenRun();
  const instruments = useInstruments();
  const analyser = instruments.first('analyser');
  const bench = instruments.document?.bench;
  const isHere = bench?.runId === runId && bench.pieceId === props.piece.id;
  const liesM = isHere ? bench.hands.cableM : undefined;
  if (analyser && (!analyser.simulated || liesM !== undefined))
    return <Reading {...props} instruments={instruments} analyser={analyser} liesM={liesM} />;
  return props.lengthM === undefined ? null : (
    <LayOnBench pieceId={props.piece.id} lengthM={props.lengthM} instruments={instruments} />
  );
}

function useLengthText(): (metres: number) => string {
  const { units } = usePreferences();
  return (metres) => formatLength(metres, { system: units, digits: 3 });
}

function LayOnBench({
  pieceId,
  lengthM,
  instruments,
}: {
  pieceId: string;
  lengthM: number;
  instruments: Instruments;
}): ReactNode {
  const { id: runId } = useOpenRun();
  const { busy, run } = useDoing();
  const lengthText = useLengthText();
  return (
    <p className="mt-3">
      <button
        className="min-h-9 text-sm underline underline-offset-4 hover:decoration-2"
        disabled={busy !== undefined}
        onClick={() =>
          run('laying', () =>
            instruments.putOnBench({
              runId,
              pieceId,
              seed: 0,
              hands: { far: 'open', rained: false, wiggled: false, cableM: lengthM },
            }),
          )
        }
      >
        {busy
          ? 'Switching the instruments on…'
          : `Practise: lay ${lengthText(lengthM)} on the simulated bench`}
      </button>
    </p>
  );
}

function Reading({
  goal,
  lengthM,
  cutToM,
  onRead,
  instruments,
  analyser,
  liesM,
}: Props & { instruments: Instruments; analyser: KnownInstrument; liesM: number | undefined }): ReactNode {
  const { busy, run } = useDoing();
  const lengthText = useLengthText();
  const [calibrated, setCalibrated] = useState(false);
  const setup = setupFor(goal);
  const nowM = liesM ?? lengthM;
  const toCutM = liesM !== undefined && cutToM !== undefined && cutToM < liesM - 1e-6 ? cutToM : undefined;
  const read = async (cableM: number): Promise<void> => {
    const swept = await call(routes.sweepInstrument, { id: analyser.id, body: setup });
    const { s, frequencyHz } = traceOf(swept);
    const [lowest] = resonancesOf(s.s11, frequencyHz);
    if (Number.isFinite(lowest)) onRead({ lengthM: cableM, frequencyHz: lowest, far: 'open', order: 1 });
    else
      toast.error('No resonance within the sweep: look whether the far end is open and the piece connected.');
  };
  return (
    <div className="mt-3 border-t border-rule pt-3">
      <p className="mb-2 font-semibold">
        {analyser.name}
        {liesM !== undefined && (
          <span className="font-normal text-muted">: {lengthText(liesM)} lies on the bench</span>
        )}
      </p>
      {!calibrated && <Calibrate analyser={analyser} setup={setup} onDone={() => setCalibrated(true)} />}
      <p className="mt-2 flex flex-wrap gap-2">
        {toCutM !== undefined && (
          <button
            className="button button-primary"
            disabled={busy !== undefined}
            onClick={() => run('cutting', () => instruments.touch({ cableM: toCutM }))}
          >
            Cut it to {lengthText(toCutM)}
          </button>
        )}
        <button
          className={`button ${calibrated && toCutM === undefined ? 'button-primary' : ''}`}
          disabled={busy !== undefined || !calibrated || nowM === undefined}
          onClick={() => nowM !== undefined && run('reading', () => read(nowM))}
        >
          {busy === 'reading' ? 'Sweeping…' : 'Read the resonance'}
        </button>
      </p>
    </div>
  );
}
