import type { Catalog } from '../catalog/index.js';
import type { Complexes } from '../line/index.js';
import { distanceAt } from '../prove/index.js';
import { judgeEcho, predictSweep, type Design, type FarEndKind } from '../run/index.js';

/** An echo as it is printed, along the line from where it was swept. */
export interface PrintedEcho {
  distanceM: number[];
  /** What comes back, dB below everything. */
  returnLossDb: number[];
  /** The largest first. */
  peaks: { name: string; distanceM: number; returnLossDb: number }[];
}

/**
 * The echo of a sweep of a run or of one of its cables.
 *
 * @returns nothing where the sweep gives none, or the design has no such cable any more
 */
export function birthEcho(
  design: Design,
  catalog: Catalog,
  swept: { pieceId: string; far: FarEndKind; frequencyHz: Float64Array; s11: Complexes },
): PrintedEcho | undefined {
  const { pieceId, far, frequencyHz, s11 } = swept;
  if (pieceId !== '' && !design.pieces.some(({ id }) => id === pieceId)) return undefined;
  const predicted = predictSweep(design, catalog, pieceId, far, frequencyHz);
  const verdict = judgeEcho(predicted, { s11, frequencyHz });
  if (!verdict.ok) return undefined;
  const { echo, cellM, peaks } = verdict.value;
  const places = Array.from(echo.delayS, (seconds) => distanceAt(predicted.ruler, seconds));
  // Beyond the end of the line, by what the sweep can tell apart, there is nothing.
  const past = places.findIndex((metres) => metres > predicted.totalM + cellM);
  const count = past < 0 ? places.length : past;
  return {
    distanceM: places.slice(0, count),
    returnLossDb: Array.from(
      echo.magnitude.subarray(0, count),
      (size) => -20 * Math.log10(Math.max(size, 1e-6)),
    ),
    peaks: peaks.map(({ name, distanceM, returnLossDb }) => ({ name, distanceM, returnLossDb })),
  };
}
