import { SPEED_OF_LIGHT, type Complexes } from '../line/index.js';
import { fail, ok, type Result } from '../quantity/index.js';
import type { Trace } from './trace.js';

type Pair = readonly [re: number, im: number];
const times = ([ar, ai]: Pair, [br, bi]: Pair): Pair => [ar * br - ai * bi, ar * bi + ai * br];
const over = ([ar, ai]: Pair, [br, bi]: Pair): Pair => {
  const size = br * br + bi * bi;
  return [(ar * br + ai * bi) / size, (ai * br - ar * bi) / size];
};
/** The root in the right half plane. */
function root([re, im]: Pair): Pair {
  const size = Math.sqrt(Math.hypot(re, im));
  const angle = Math.atan2(im, re) / 2;
  return [size * Math.cos(angle), size * Math.sin(angle)];
}

/** What a cable nobody knows is, from its own two ends. */
export interface UnknownCable {
  impedanceOhm: number;
  /** One way, s. */
  delayS: number;
  /** A longer delay cannot be told with points this far apart, one way, s. */
  rangeS: number;
  /** Velocity factor, when its length was measured. */
  velocityFactor: number | undefined;
  /** One way in the middle of the sweep, dB; and per 100 m, when its length was measured. */
  lossDb: number;
  lossDbPer100M: number | undefined;
  /** The middle of the sweep, Hz. */
  middleHz: number;
}

const median = (values: readonly number[]): number =>
  values.toSorted((x, y) => x - y)[Math.floor(values.length / 2)];

/** Where an end is near a short or an open nothing can be told: reflections nearer to ±1 than this are left out. */
const LEAST_OFF = 0.15;
/** With more loss one way nothing of the far end comes back through an analyser’s noise, dB; two sweeps of one end look so too. */
const MAX_LOSS_DB = 20;

/**
 * Impedance, delay and loss of a cable from a sweep with its far end open and one with it shorted: Z0 = √(Zo·Zs), tanh γl = Zs/Z0.
 *
 * The delay follows from how fast e^(−2γl) turns over the frequencies; the impedance is the median of all.
 * @param lengthM of the cable, when somebody has measured it, m
 * @returns nothing when the two sweeps do not fit together
 * Source: Pozar, Microwave Engineering, open and shorted line.
 */
export function unknownCable(
  open: Complexes,
  short: Complexes,
  frequencyHz: Float64Array,
  referenceOhm: number,
  lengthM?: number,
): UnknownCable | undefined {
  const impedance = ({ re, im }: Complexes, k: number): Pair => over([1 + re[k], im[k]], [1 - re[k], -im[k]]);
  const ohms: number[] = [];
  const lossesDb: number[] = [];
  let turned = 0;
  let last: number | undefined;
  for (let k = 0; k < frequencyHz.length; k++) {
    const [zo, zs] = [impedance(open, k), impedance(short, k)];
    // The root of Zo·Zs lies near the real axis; that of Zs/Zo lies on the edge of the plane, where noise turns its sign.
    const z0 = root(times(zo, zs));
    const t = over(zs, z0);
    // e^(−2γl) = (1 − tanh)/(1 + tanh).
    const w = over([1 - t[0], -t[1]], [1 + t[0], t[1]]);
    const angle = Math.atan2(w[1], w[0]);
    if (last !== undefined) {
      // It turns one way only, by less than half a turn from point to point.
      const step = angle - last;
      turned += step > Math.PI / 2 ? step - 2 * Math.PI : step < -1.5 * Math.PI ? step + 2 * Math.PI : step;
    }
    last = angle;
    const off = Math.min(
      ...[open, short].map(({ re, im }) =>
        Math.min(Math.hypot(re[k] - 1, im[k]), Math.hypot(re[k] + 1, im[k])),
      ),
    );
    if (off < LEAST_OFF) continue;
    ohms.push(z0[0] * referenceOhm);
    lossesDb.push(-10 * Math.log10(Math.hypot(w[0], w[1])));
  }
  const spanHz = frequencyHz[frequencyHz.length - 1] - frequencyHz[0];
  const delayS = -turned / (4 * Math.PI * spanHz);
  if (ohms.length === 0 || !(delayS > 0) || median(lossesDb) > MAX_LOSS_DB) return undefined;
  return {
    impedanceOhm: median(ohms),
    delayS,
    rangeS: (0.375 * (frequencyHz.length - 1)) / spanHz,
    velocityFactor: lengthM === undefined ? undefined : lengthM / (delayS * SPEED_OF_LIGHT),
    lossDb: median(lossesDb),
    lossDbPer100M: lengthM === undefined ? undefined : (median(lossesDb) / lengthM) * 100,
    middleHz: frequencyHz[Math.floor(frequencyHz.length / 2)],
  };
}

/** Outside these no cable is: a length mistyped, or points too far apart. PTFE tape in air comes to 0.9. */
const VELOCITY_FACTORS = { least: 0.4, most: 1 };

/**
 * The same from two traces as they were read, with what speaks against them.
 *
 * @returns a problem when the sweeps are not of one setting, not of one piece, or the length cannot be
 */
export function cableFromSweeps(open: Trace, short: Trace, lengthM?: number): Result<UnknownCable> {
  const isAlike =
    open.referenceOhm === short.referenceOhm &&
    open.frequencyHz.length === short.frequencyHz.length &&
    open.frequencyHz.every((hz, k) => Math.abs(hz - short.frequencyHz[k]) <= 1e-6 * hz);
  if (!isAlike)
    return fail(
      'sweeps.setting',
      'The two sweeps have different frequencies or reference.',
      'sweeps',
      'Take both with one setting.',
    );
  const found = unknownCable(open.s.s11, short.s.s11, open.frequencyHz, open.referenceOhm, lengthM);
  if (!found)
    return fail(
      'sweeps.piece',
      'These two sweeps do not fit together.',
      'sweeps',
      'Sweep the same piece twice: its far end open, then shorted.',
    );
  const { velocityFactor } = found;
  const { least, most } = VELOCITY_FACTORS;
  if (velocityFactor !== undefined && (velocityFactor > most || velocityFactor < least))
    return fail(
      'sweeps.length',
      `With this length its velocity factor would be ${velocityFactor.toFixed(2)}.`,
      'length',
      'Measure the length again, or sweep with more points.',
    );
  return ok(found);
}
