import { noiseFrom } from '../chance.js';
import { add, c, div, mul, polar, sub, type C } from './complex.js';

/** The three error terms of a reflection port: directivity, source match and reflection tracking. */
export interface PortError {
  directivity: C;
  match: C;
  tracking: C;
}

/** What a directional bridge at 3 GHz leaves, as a share of the wave. Common practice, no source. */
const DIRECTIVITY = 10 ** (-28 / 20);
const MATCH = 10 ** (-25 / 20);
const TRACKING = 0.08;
/** Length of the leads within the instrument, one way, s. */
const LEAD_S = 0.4e-9;

/** How the uncalibrated port of one instrument errs at a frequency; the same instrument errs alike every day. */
export function portError(seed: number, port: number, frequencyHz: number): PortError {
  const { uniform } = noiseFrom(seed * 16 + port);
  const ripple = (size: number): C => {
    const [delayS, angle] = [LEAD_S * (1 + uniform()), Math.PI * uniform()];
    return polar(size * (0.7 + 0.3 * uniform()), angle - 4 * Math.PI * frequencyHz * delayS);
  };
  return {
    directivity: ripple(DIRECTIVITY),
    match: ripple(MATCH),
    tracking: add(polar(1 - TRACKING, -4 * Math.PI * frequencyHz * LEAD_S), ripple(TRACKING / 4)),
  };
}

/** What the port shows for a true reflection: Γm = e00 + e10e01·Γ / (1 − e11·Γ). Source: one-port error model, Pozar, Microwave Engineering. */
export const seen = ({ directivity, match, tracking }: PortError, reflection: C): C =>
  add(directivity, div(mul(tracking, reflection), sub(c(1), mul(match, reflection))));

/** The true reflection behind what a port shows. */
export function behind({ directivity, match, tracking }: PortError, shown: C): C {
  const rest = sub(shown, directivity);
  return div(rest, add(tracking, mul(match, rest)));
}

/** The error terms which explain what an open, a short and a load show, given what these truly reflect. */
export function solved(shown: Record<Standard, C>, truly: Record<Standard, C>): PortError {
  // Γm = e00 + Γ·Γm·e11 − Γ·Δ with Δ = e00·e11 − tracking: three equations, three unknowns (Cramer).
  const rows = standards.map((one): [C, C, C, C] => [
    c(1),
    mul(truly[one], shown[one]),
    mul(c(-1), truly[one]),
    shown[one],
  ]);
  const det = (columns: [number, number, number]): C => {
    const [p, q, r] = rows.map((row) => columns.map((k) => row[k]));
    return add(
      sub(mul(p[0], sub(mul(q[1], r[2]), mul(q[2], r[1]))), mul(p[1], sub(mul(q[0], r[2]), mul(q[2], r[0])))),
      mul(p[2], sub(mul(q[0], r[1]), mul(q[1], r[0]))),
    );
  };
  const whole = det([0, 1, 2]);
  const directivity = div(det([3, 1, 2]), whole);
  const match = div(det([0, 3, 2]), whole);
  const delta = div(det([0, 1, 3]), whole);
  return { directivity, match, tracking: sub(mul(directivity, match), delta) };
}

export const standards = ['OPEN', 'SHORT', 'LOAD'] as const;
export type Standard = (typeof standards)[number];

/** Fringing capacitance of the open standard, farad, and return loss of the load standard, dB: neither is known to the calibration. */
const OPEN_FARAD = 30e-15;
const LOAD_RETURN_DB = 42;

/** What the standards of the kit really reflect. The calibration takes them for 1, −1 and 0. */
export function trueStandard(standard: Standard, frequencyHz: number): C {
  switch (standard) {
    case 'OPEN':
      return polar(1, -2 * Math.atan(2 * Math.PI * frequencyHz * OPEN_FARAD * 50));
    case 'SHORT':
      return c(-1);
    case 'LOAD':
      return c(10 ** (-LOAD_RETURN_DB / 20));
  }
}

export const assumedStandards: Record<Standard, C> = { OPEN: c(1), SHORT: c(-1), LOAD: c(0) };
