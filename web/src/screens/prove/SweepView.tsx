import type { StoredTrace } from '@kobran/contract';
import {
  driftOf,
  formatDecibels,
  judgeSweep,
  lossOneWay,
  referenceOhmOf,
  magnitudes,
  phaseDriftOf,
  predictSweep,
  returnLossDb,
  type Complexes,
  type Swept,
  type Trace,
} from '@kobran/core';
import { bisectLeft } from 'd3';
import { useMemo, type ReactNode } from 'react';
import { FrequencyChart, type Series } from '../../drawing/charts/FrequencyChart.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { Standing } from './Standing.js';
import { CircleChart } from '../../drawing/charts/CircleChart.js';
import { EchoView } from '../../drawing/charts/EchoView.js';
import { traceAgainst } from '../../store/useTraces.js';

const tone = { pass: 'text-lake', marginal: 'text-caution', fail: 'text-stop' };

const returnLosses = (of: Complexes): Float64Array => magnitudes(of).map(returnLossDb);

/** One sweep over its prediction: verdict, curves, echo on the ruler, the disc, and what has drifted since birth. */
export function SweepView({
  trace: kept,
  birth,
  beside,
}: {
  trace: StoredTrace;
  /** The birth record it is held against. */
  birth: StoredTrace | undefined;
  /** Others to be drawn with it. */
  beside: readonly StoredTrace[];
}): ReactNode {
  const { editor } = useOpenRun();
  const catalog = useCatalog();
  const { design } = editor;
  const trace = useMemo(() => traceAgainst(kept, referenceOhmOf(design)), [kept, design]);
  const known = kept.pieceId === '' || design.pieces.some(({ id }) => id === kept.pieceId);
  const swept = useMemo(
    () => (known ? predictSweep(design, catalog, kept.pieceId, kept.far, trace.frequencyHz) : undefined),
    [design, catalog, kept, trace, known],
  );
  if (!swept) return <p className="mt-3">The assembly of this sweep is not in the run any more.</p>;
  return <SweepResult kept={kept} trace={trace} swept={swept} birth={birth} beside={beside} />;
}

function SweepResult({
  kept,
  trace,
  swept,
  birth,
  beside,
}: {
  kept: StoredTrace;
  trace: Trace;
  swept: Swept;
  birth: StoredTrace | undefined;
  beside: readonly StoredTrace[];
}): ReactNode {
  const { editor } = useOpenRun();
  const { bands } = editor.design.service;
  const measuredDb = returnLosses(trace.s.s11);
  const predictedDb = returnLosses(swept.s11);
  const lossDb = lossOneWay(trace, kept.far, swept.ruler.delayS.at(-1));
  const judgements = judgeSweep({
    frequencyHz: trace.frequencyHz,
    returnLossDb: measuredDb,
    predictedReturnLossDb: predictedDb,
    ...(lossDb ? { lossDb } : {}),
    predictedLossDb: swept.lossDb,
    bands,
    intoLoad: kept.far === 'load' || kept.far === 'antenna',
  });
  return (
    <div className="mt-4">
      <ul>
        {judgements.map(({ what, verdict, why }) => (
          <li key={what} className="text-lg">
            <strong className={`capitalize ${tone[verdict]}`}>
              {what}: {verdict}.
            </strong>{' '}
            {why}
          </li>
        ))}
      </ul>
      {birth && lossDb && (
        <Since birth={birth} kept={kept} lossDb={lossDb} trace={trace} delayS={swept.ruler.delayS.at(-1)} />
      )}
      <EchoView frequencyHz={trace.frequencyHz} s11={trace.s.s11} swept={swept} bands={bands} />
      <div className="mt-4 grid gap-6 xl:grid-cols-[minmax(0,1fr)_18rem]">
        <div>
          <FrequencyChart
            title="Return loss, measured over predicted"
            summary={`Measured at least ${formatDecibels(Math.min(...measuredDb))}, predicted ${formatDecibels(Math.min(...predictedDb))}.`}
            unit="dB"
            frequencyHz={trace.frequencyHz}
            series={[
              { name: 'predicted', values: predictedDb, tone: 'ink', dashed: true },
              ...beside.map((one, k): Series => ({
                name: one.name,
                values: resampled(one, trace.frequencyHz, trace.referenceOhm),
                tone: k % 2 === 0 ? 'copper' : 'muted',
              })),
              { name: 'measured', values: measuredDb, tone: 'lake' },
            ]}
            bands={bands}
            height={210}
            format={formatDecibels}
            most={50}
          />
          <Standing kept={kept} trace={trace} swept={swept} />
          {lossDb && (
            <FrequencyChart
              title="Loss, one way"
              summary={`Measured up to ${formatDecibels(Math.max(...lossDb))}, predicted ${formatDecibels(Math.max(...swept.lossDb))}.`}
              unit="dB"
              frequencyHz={trace.frequencyHz}
              series={[
                { name: 'predicted', values: swept.lossDb, tone: 'ink', dashed: true },
                { name: 'measured', values: lossDb, tone: 'lake' },
              ]}
              bands={bands}
              height={180}
              format={formatDecibels}
            />
          )}
        </div>
        <InBands trace={trace} swept={swept} />
      </div>
    </div>
  );
}

/** Return loss of another sweep at the frequencies of this one; nothing beyond its own. */
function resampled(other: StoredTrace, frequencyHz: Float64Array, referenceOhm: number): Float64Array {
  const { frequencyHz: own, s } = traceAgainst(other, referenceOhm);
  const values = returnLosses(s.s11);
  return frequencyHz.map((hz) => {
    const k = bisectLeft(own, hz);
    if (k === 0 || k >= own.length) return hz === own[0] ? values[0] : NaN;
    return values[k - 1] + ((values[k] - values[k - 1]) * (hz - own[k - 1])) / (own[k] - own[k - 1]);
  });
}

/** The disc shows the bands in use with a little on both sides: a long run winds round it many times. */
function InBands({ trace, swept }: { trace: Trace; swept: Swept }): ReactNode {
  const { editor } = useOpenRun();
  const { bands } = editor.design.service;
  const low = Math.min(...bands.map(({ lowHz }) => lowHz)) * 0.98;
  const high = Math.max(...bands.map(({ highHz }) => highHz)) * 1.02;
  const from = trace.frequencyHz.findIndex((hz) => hz >= low);
  const to = trace.frequencyHz.findLastIndex((hz) => hz <= high) + 1;
  if (from < 0 || to - from < 2) return null;
  const part = ({ re, im }: Complexes): Complexes => ({
    re: re.subarray(from, to),
    im: im.subarray(from, to),
  });
  return (
    <CircleChart
      frequencyHz={trace.frequencyHz.subarray(from, to)}
      measured={part(trace.s.s11)}
      predicted={part(swept.s11)}
      referenceOhm={trace.referenceOhm}
    />
  );
}

function Since({
  birth,
  kept,
  lossDb,
  trace,
  delayS,
}: {
  birth: StoredTrace;
  kept: StoredTrace;
  lossDb: Float64Array;
  trace: Trace;
  delayS: number | undefined;
}): ReactNode {
  const { editor } = useOpenRun();
  const first = traceAgainst(birth, trace.referenceOhm);
  const firstLoss = lossOneWay(first, birth.far, delayS);
  if (!firstLoss) return null;
  const { verdict, why } = driftOf(
    { frequencyHz: first.frequencyHz, lossDb: firstLoss },
    { frequencyHz: trace.frequencyHz, lossDb },
    kept.rained,
  );
  const { bands } = editor.design.service;
  const phase = phaseDriftOf(
    { frequencyHz: first.frequencyHz, s: first.s.s21 ?? first.s.s11 },
    { frequencyHz: trace.frequencyHz, s: trace.s.s21 ?? trace.s.s11 },
    (bands[0].lowHz + bands[0].highHz) / 2,
    !trace.s.s21,
  );
  return (
    <>
      <p className="text-lg">
        <strong className={tone[verdict]}>Since it was new: {verdict}.</strong> {why}
      </p>
      {phase && (
        <p className="text-lg">
          <strong className={tone[phase.verdict]}>Phase since then: {phase.verdict}.</strong> {phase.why}
        </p>
      )}
    </>
  );
}
