import { deviceOn, deviceScattering, type ReadBench } from '@kobran/core';
import type { Noise } from '../chance.js';
import { add, c, div, mul, sub, type C } from './complex.js';
import {
  assumedStandards,
  behind,
  portError,
  seen,
  solved,
  standards,
  trueStandard,
  type PortError,
  type Standard,
} from './errorBox.js';

/** How a sweep is taken. */
export interface Setup {
  startHz: number;
  stopHz: number;
  points: number;
  averages: number;
  bandwidthHz: number;
}

/** What a calibration has seen: each standard at each port, and the two ports joined. */
export interface Collected {
  setup: Setup;
  ports: [Partial<Record<Standard, C[]>>, Partial<Record<Standard, C[]>>];
  through?: { reflected: C[]; passed: C[] };
}

/** A calibration in use: error terms of both ports at each frequency, those of the through where it was seen. */
export interface Calibration {
  setup: Setup;
  ports: [PortError[], PortError[]?];
  through?: { loadMatch: C[]; tracking: C[] };
}

/** Noise of one sample at 1 kHz of bandwidth, as a share of full scale. */
const NOISE_AT_1_KHZ = 2e-4;
/** What the two ports lose between them before a calibration. */
const PASS_TRACKING = c(0.93, -0.06);

export function frequenciesOf({ startHz, stopHz, points }: Setup): Float64Array {
  const step = points > 1 ? (stopHz - startHz) / (points - 1) : 0;
  return Float64Array.from({ length: points }, (_, k) => startHz + k * step);
}

const noisy = (value: C, { averages, bandwidthHz }: Setup, noise: Noise): C => {
  const sigma = NOISE_AT_1_KHZ * Math.sqrt(bandwidthHz / 1e3 / averages);
  return add(value, c(sigma * noise.normal(), sigma * noise.normal()));
};

/** What a port shows of a standard screwed on. */
export const showStandard = (
  setup: Setup,
  seed: number,
  port: 0 | 1,
  standard: Standard,
  noise: Noise,
): C[] =>
  Array.from(frequenciesOf(setup), (frequencyHz) =>
    noisy(seen(portError(seed, port, frequencyHz), trueStandard(standard, frequencyHz)), setup, noise),
  );

/** What port 1 shows of itself and passes on while it is joined to port 2 with nothing between. */
export function showThrough(setup: Setup, seed: number, noise: Noise): { reflected: C[]; passed: C[] } {
  const joined = Array.from(frequenciesOf(setup), (frequencyHz) => {
    const far = portError(seed, 1, frequencyHz).match;
    const near = portError(seed, 0, frequencyHz);
    return {
      reflected: noisy(seen(near, far), setup, noise),
      passed: noisy(div(PASS_TRACKING, sub(c(1), mul(near.match, far))), setup, noise),
    };
  });
  return { reflected: joined.map((one) => one.reflected), passed: joined.map((one) => one.passed) };
}

/** The calibration which follows from what was collected; a port whose three standards are not all there stays as it is. */
export function calibrated({ setup, ports, through }: Collected): Calibration | undefined {
  const portOf = (of: Partial<Record<Standard, C[]>>): PortError[] | undefined => {
    const all = standards.map((one) => of[one]);
    if (all.some((one) => one === undefined)) return undefined;
    return Array.from({ length: setup.points }, (_, k) =>
      solved(
        Object.fromEntries(standards.map((one, n) => [one, (all[n] as C[])[k]])) as Record<Standard, C>,
        assumedStandards,
      ),
    );
  };
  const near = portOf(ports[0]);
  if (!near) return undefined;
  const far = portOf(ports[1]);
  if (!through || !far) return { setup, ports: [near] };
  const loadMatch = through.reflected.map((shown, k) => behind(near[k], shown));
  const tracking = through.passed.map((passed, k) =>
    mul(passed, sub(c(1), mul(near[k].match, loadMatch[k]))),
  );
  return { setup, ports: [near, far], through: { loadMatch, tracking } };
}

/** One sweep: reflection of the device with its far end as it is, or all four of a two-port between both ports. */
export interface Measured {
  frequencyHz: Float64Array;
  s11: C[];
  s21?: C[];
  s12?: C[];
  s22?: C[];
}

const at = (of: { re: Float64Array; im: Float64Array }, k: number): C => c(of.re[k], of.im[k]);

/** A reflection seen through a two-port: Γin = S11 + S12·S21·Γ / (1 − S22·Γ). */
const through = (s: { s11: C; s21: C; s12: C; s22: C }, far: C): C =>
  add(s.s11, div(mul(mul(s.s12, s.s21), far), sub(c(1), mul(s.s22, far))));

/**
 * Measures what is on the bench.
 *
 * @param calibration used where it was taken with the same set-up
 */
export function measure(
  bench: ReadBench,
  setup: Setup,
  seed: number,
  noise: Noise,
  twoPorts: boolean,
  calibration: Calibration | undefined,
): Measured {
  const device = deviceOn(bench);
  const frequencyHz = frequenciesOf(setup);
  const s = deviceScattering(device, frequencyHz);
  const closed = device.closed(frequencyHz);
  const both = twoPorts ? calibration?.through && calibration : undefined;
  const sample = (k: number): Sample => {
    const truly = { s11: at(s.s11, k), s21: at(s.s21, k), s12: at(s.s12, k), s22: at(s.s22, k) };
    const near = portError(seed, 0, frequencyHz[k]);
    if (!twoPorts) {
      const shown = noisy(seen(near, through(truly, at(closed, k))), setup, noise);
      return { s11: calibration ? behind(calibration.ports[0][k], shown) : shown };
    }
    const shown = twoPortShown(truly, near, portError(seed, 1, frequencyHz[k]), setup, noise);
    return both ? twoPortBehind(shown, both, k) : shown;
  };
  const samples = Array.from(frequencyHz, (_, k) => sample(k));
  const column = (name: 's21' | 's12' | 's22'): C[] => samples.map((one) => one[name] ?? c(0));
  return {
    frequencyHz,
    s11: samples.map((one) => one.s11),
    ...(twoPorts ? { s21: column('s21'), s12: column('s12'), s22: column('s22') } : {}),
  };
}

interface Sample {
  s11: C;
  s21?: C;
  s12?: C;
  s22?: C;
}
type Four = Required<Sample>;

const turned = ({ s11, s21, s12, s22 }: Four): Four => ({ s11: s22, s21: s12, s12: s21, s22: s11 });

function twoPortShown(truly: Four, near: PortError, far: PortError, setup: Setup, noise: Noise): Four {
  const reflected = (s: Four, here: PortError, there: PortError): C =>
    noisy(seen(here, through(s, there.match)), setup, noise);
  // The wave that passes is divided by (1 − e11·S11)(1 − S22·e22) − e11·e22·S21·S12.
  const passed = (s: Four, here: PortError, there: PortError): C => {
    const lid = sub(
      mul(sub(c(1), mul(here.match, s.s11)), sub(c(1), mul(s.s22, there.match))),
      mul(mul(here.match, there.match), mul(s.s21, s.s12)),
    );
    return noisy(div(mul(PASS_TRACKING, s.s21), lid), setup, noise);
  };
  const back = turned(truly);
  return {
    s11: reflected(truly, near, far),
    s21: passed(truly, near, far),
    s22: reflected(back, far, near),
    s12: passed(back, far, near),
  };
}

/** Full two-port correction, both directions with the same load match and tracking. Source: twelve-term error model, Pozar, Microwave Engineering. */
function twoPortBehind(shown: Four, { ports, through: join }: Calibration, k: number): Four {
  const [near, far] = [ports[0][k], (ports[1] as PortError[])[k]];
  const { loadMatch, tracking } = join as NonNullable<Calibration['through']>;
  // What each port sees of the other through a join: port 2’s own match seen forward, port 1’s seen backward.
  const [forward, backward] = [loadMatch[k], near.match];
  const m11 = div(sub(shown.s11, near.directivity), near.tracking);
  const m22 = div(sub(shown.s22, far.directivity), far.tracking);
  const m21 = div(shown.s21, tracking[k]);
  const m12 = div(shown.s12, tracking[k]);
  const cross = mul(m21, m12);
  const lid = sub(
    mul(add(c(1), mul(m11, near.match)), add(c(1), mul(m22, far.match))),
    mul(cross, mul(forward, backward)),
  );
  return {
    s11: div(sub(mul(m11, add(c(1), mul(m22, far.match))), mul(forward, cross)), lid),
    s21: div(mul(m21, add(c(1), mul(m22, sub(far.match, forward)))), lid),
    s12: div(mul(m12, add(c(1), mul(m11, sub(near.match, backward)))), lid),
    s22: div(sub(mul(m22, add(c(1), mul(m11, near.match))), mul(backward, cross)), lid),
  };
}
