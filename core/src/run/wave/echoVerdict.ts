import type { Complexes } from '../../line/index.js';
import { distanceAt, echoOf, echoPeaks, isUnexpected, type Echo, type EchoPeak } from '../../prove/index.js';
import { ok, type Result } from '../../quantity/index.js';
import { placeAt, placeOf, placeToleranceM, type Place, type Swept } from './predict.js';

/** Echoes below this are the joints of a sound run, dB. Common practice, no source. */
const LOOK_AT_DB = 40;

/** A place from which something comes back, held against what was computed for it. */
export interface JudgedPeak extends EchoPeak {
  /** By how much the place may be off, m either way. */
  toleranceM: number;
  /** Does more come back than was computed? */
  unexpected: boolean;
  /** Its joint, when it is at one. */
  at: Place | undefined;
  /** Its joint, or between which two it lies. */
  name: string;
}

/** An echo and its verdict. */
export interface EchoVerdict {
  echo: Echo;
  /** The same of the run as computed; none when it cannot be had. */
  predicted: Echo | undefined;
  /** Two places nearer than this are one, m. */
  cellM: number;
  /** Beyond this the echo folds back, m. */
  rangeM: number;
  /** The largest first. */
  peaks: JudgedPeak[];
}

/**
 * The one judge of an echo: what the screen shows and what the causes are told are the same peaks.
 *
 * @returns a problem when the sweep gives no echo
 */
export function judgeEcho(
  swept: Swept,
  { s11, frequencyHz }: { s11: Complexes; frequencyHz: Float64Array },
): Result<EchoVerdict> {
  const echo = echoOf(s11, frequencyHz);
  if (!echo.ok) return echo;
  const sound = echoOf(swept.s11, frequencyHz);
  const predicted = sound.ok ? sound.value : undefined;
  const cellM = distanceAt(swept.ruler, echo.value.resolutionS);
  const peaks = echoPeaks(echo.value, swept.ruler, LOOK_AT_DB)
    .filter(({ distanceM }) => distanceM <= swept.totalM + cellM)
    .map((peak) => ({
      ...peak,
      toleranceM: placeToleranceM(swept, peak.distanceM, cellM),
      unexpected: !predicted || isUnexpected(peak, predicted, swept.ruler),
      at: placeAt(swept, peak.distanceM, cellM),
      name: placeOf(swept, peak.distanceM, cellM),
    }));
  return ok({
    echo: echo.value,
    predicted,
    cellM,
    rangeM: distanceAt(swept.ruler, echo.value.rangeS),
    peaks,
  });
}
