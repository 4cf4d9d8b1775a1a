import type { Complexes } from '../../line/index.js';
import {
  delayAt,
  distanceAt,
  echoOf,
  echoPeaks,
  lossAt,
  MAX_CORRECTION_DB,
  vertex,
  type Echo,
} from '../../prove/index.js';
import { fail, ok, type Result } from '../../quantity/index.js';
import { placeAt, placeOf, type Swept } from '../wave/predict.js';

/** How one place of a run has changed between two sweeps. */
export interface PlaceDrift {
  name: string;
  atM: number;
  /** What came back from there, and comes back now, dB below everything: smaller is more. */
  birthDb: number;
  nowDb: number;
  /** How much more comes back, dB; less is negative. */
  addedDb: number;
  /** How much later it comes back, one way, degrees at the frequency asked for; nothing where too little comes back to tell. */
  laterDegrees: number | undefined;
  /** The same in a year; nothing where the sweeps are less than a month apart. */
  addedDbPerYear: number | undefined;
  laterDegreesPerYear: number | undefined;
}

/** A sweep with its day. */
interface DatedSweep {
  /** ISO 8601. */
  at: string;
  frequencyHz: Float64Array;
  s11: Complexes;
}

const YEAR_MS = 365.25 * 24 * 3600 * 1000;
/** A rate from less than this is a guess, years. */
const LEAST_YEARS = 1 / 12;
/** Weaker echoes have no phase which could be trusted, dB. Common practice, no source. */
const TOO_WEAK_DB = 45;

/**
 * Drift by place: what comes back from each joint now, against what came back at birth.
 *
 * @param swept the run as computed: its ruler and its places
 * @param atHz at which degrees are meant, Hz
 * @returns the place which changed most first; a problem when one of the sweeps gives no echo
 */
export function driftByPlace(
  swept: Swept,
  birth: DatedSweep,
  now: DatedSweep,
  atHz: number,
): Result<PlaceDrift[]> {
  const [first, last] = [echoOf(birth.s11, birth.frequencyHz), echoOf(now.s11, now.frequencyHz)];
  if (!first.ok) return first;
  if (!last.ok) return last;
  const years = (Date.parse(now.at) - Date.parse(birth.at)) / YEAR_MS;
  if (years < 0)
    return fail(
      'drift.order',
      'The later sweep is older than the birth record.',
      'the sweeps',
      'Choose a later sweep.',
    );
  const perYear = (value: number | undefined): number | undefined =>
    value === undefined || years < LEAST_YEARS ? undefined : value / years;
  // Whichever sweep tells less apart decides how wide a place is.
  const reachS = Math.max(first.value.resolutionS, last.value.resolutionS) / 2;
  const seen = (echo: Echo, atM: number): { db: number; delayS: number } => {
    const middle = delayAt(swept.ruler, atM);
    const k = highestNear(echo, middle, reachS);
    const delayS = echo.delayS[k] + (echo.delayS[1] - echo.delayS[0]) * vertex(echo.magnitude, k);
    const loss = Math.min(MAX_CORRECTION_DB, 2 * lossAt(swept.ruler, middle));
    return { db: -20 * Math.log10(Math.max(echo.magnitude[k], 1e-9)) - loss, delayS };
  };
  const cellM = 2 * distanceAt(swept.ruler, reachS);
  // A kink or water between joints has no name of its own, and is what somebody looks for.
  const between = echoPeaks(last.value, swept.ruler, TOO_WEAK_DB)
    .filter(({ distanceM }) => distanceM < swept.totalM && !placeAt(swept, distanceM, cellM))
    .map(({ distanceM }) => ({ name: placeOf(swept, distanceM, cellM), atM: distanceM }));
  const rows = [...swept.places, ...between].map(({ name, atM }): PlaceDrift => {
    const [then, today] = [seen(first.value, atM), seen(last.value, atM)];
    const addedDb = then.db - today.db;
    const isHeard = then.db < TOO_WEAK_DB && today.db < TOO_WEAK_DB;
    const laterDegrees = isHeard ? 360 * atHz * (today.delayS - then.delayS) : undefined;
    return {
      name,
      atM,
      birthDb: then.db,
      nowDb: today.db,
      addedDb,
      laterDegrees,
      addedDbPerYear: perYear(addedDb),
      laterDegreesPerYear: perYear(laterDegrees),
    };
  });
  return ok(rows.sort((x, y) => Math.abs(y.addedDb) - Math.abs(x.addedDb)));
}

function highestNear({ delayS, magnitude }: Echo, middleS: number, reachS: number): number {
  let best = 0;
  let size = -1;
  for (let k = 0; k < delayS.length; k++)
    if (Math.abs(delayS[k] - middleS) <= reachS && magnitude[k] > size) {
      best = k;
      size = magnitude[k];
    }
  return best;
}
