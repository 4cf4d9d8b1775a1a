import { returnLossDb, type Complexes } from '../../line/index.js';
import { magnitudes, type Findings } from '../../prove/index.js';
import { judgeEcho } from './echoVerdict.js';
import type { Swept } from './predict.js';

/** A sweep into a load, and its loss through where that was measured. */
export interface MeasuredSweep {
  frequencyHz: Float64Array;
  s11: Complexes;
  lossDb?: Float64Array;
}

/** Below this almost nothing passes, dB. Common practice, no source. */
const TOTAL_DB = 3;
/** Worse than computed by this is worse, dB; and better than this is never looked at. Common practice, no source. */
const WORSE_DB = 5;
const GOOD_DB = 30;
const ADDED_DB = 0.3;

const mean = (values: Float64Array): number =>
  values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);

/** What a sweep says of a line, in the words of the causes. */
export function sweepFindings(
  predicted: Swept,
  measured: MeasuredSweep,
): Pick<Findings, 'match' | 'loss' | 'echo'> {
  return {
    match: matchOf(predicted, measured),
    ...(measured.lossDb ? { loss: lossOf(predicted.lossDb, measured.lossDb) } : {}),
    ...echoFinding(predicted, measured),
  };
}

/** By the power which comes back over the whole sweep: single nulls say nothing. */
function matchOf(predicted: Swept, { s11 }: MeasuredSweep): Findings['match'] {
  const powerDb = (of: Complexes): number => {
    const sizes = magnitudes(of);
    return returnLossDb(Math.sqrt(sizes.reduce((sum, one) => sum + one * one, 0) / sizes.length));
  };
  const read = powerDb(s11);
  if (read < TOTAL_DB) return 'total';
  return read < GOOD_DB && read < powerDb(predicted.s11) - WORSE_DB ? 'worse' : 'as computed';
}

function lossOf(predictedDb: Float64Array, readDb: Float64Array): Findings['loss'] {
  const added = readDb.map((value, k) => value - predictedDb[k]);
  const third = Math.max(1, Math.floor(added.length / 3));
  const [low, high] = [mean(added.subarray(0, third)), mean(added.subarray(-third))];
  if (Math.max(low, high) < ADDED_DB) return 'as computed';
  return high > 1.6 * Math.max(low, 0.05) && high < 20
    ? 'more, rising with frequency'
    : 'more, alike everywhere';
}

function echoFinding(predicted: Swept, measured: MeasuredSweep): Pick<Findings, 'echo'> {
  const judged = judgeEcho(predicted, measured);
  if (!judged.ok || !judged.value.predicted) return {};
  const [first, second] = judged.value.peaks.filter(({ unexpected }) => unexpected);
  if (!first) return { echo: 'none' };
  // Two of nearly the same size in one cable are the two ends of something long: water.
  if (second && second.returnLossDb - first.returnLossDb < 3 && !first.at) return { echo: 'spread out' };
  if (!first.at) return { echo: 'in a cable' };
  const { of } = first.at;
  return { echo: of === 'joint' ? 'at a joint' : of === 'arrester' ? 'at the arrester' : 'at the antenna' };
}
