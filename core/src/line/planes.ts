import { attenuationNeper, lawHoldsFrom, phaseConstant } from './attenuation.js';
import {
  isLossless,
  putLine,
  saturated,
  writeAbcd,
  type Abcd,
  type Element,
  type LineElement,
} from './element.js';

/** Frequencies worked through at once: what is read again and again then stays near the processor. */
export const CHUNK = 128;
/** Entries of a chain matrix: A, B, C, D as (re, im). Each has a plane of `CHUNK` values in one array. */
const PLANES = 8;
const [AR, AI, BR, BI, CR, CI, DR, DI] = Array.from({ length: PLANES }, (_, p) => p * CHUNK);

/** Which entries of a chain matrix are not those of nothing at all: all, or that of something in the line or across it. */
export type Touches = 'all' | 'in the line' | 'across the line';

/** A chain matrix at the frequencies of one chunk, with nothing expected in it. */
export const emptyPlane = (): Float64Array => new Float64Array(PLANES * CHUNK);

/** Nothing at all: one in the diagonal. */
export function writeNothing(plane: Float64Array, count: number): void {
  plane.fill(0);
  plane.fill(1, AR, AR + count);
  plane.fill(1, DR, DR + count);
}

/** Hands on the chain matrix of each frequency of a chunk, one after the other in the same array. */
export function eachOf(plane: Float64Array, count: number, each: (total: Abcd, k: number) => void): void {
  for (let k = 0; k < count; k++) {
    for (let p = 0; p < PLANES; p++) matrix[p] = plane[p * CHUNK + k];
    each(matrix, k);
  }
}

export function touchesOf({ kind }: Element): Touches {
  switch (kind) {
    case 'contact':
    case 'series resistance':
    case 'series branch':
      return 'in the line';
    case 'shunt resistance':
    case 'shunt capacitance':
    case 'shunt branch':
    case 'shunt stub':
      return 'across the line';
    case 'line':
    case 'ideal transformer':
      return 'all';
  }
}

/** Rounding of a frequency, as a share of it: so far an even grid may be from even. */
const ROUNDING = 4 * Number.EPSILON;

/** The step of frequencies which are evenly spaced, Hz; nothing of others. */
export function evenStep(hz: Float64Array): number | undefined {
  const step = (hz[hz.length - 1] - hz[0]) / Math.max(1, hz.length - 1);
  for (let k = 1; k < hz.length; k++)
    if (Math.abs(hz[0] + k * step - hz[k]) > ROUNDING * hz[k]) return undefined;
  return step;
}

const matrix = new Float64Array(PLANES);

export function writeOver(
  element: Element,
  hz: Float64Array,
  stepHz: number | undefined,
  plane: Float64Array,
): void {
  if (element.kind === 'line' && stepHz !== undefined && !element.complexZ0 && hz[0] >= lawHoldsFrom(element))
    return writeLine(element, hz, stepHz, plane);
  for (let k = 0; k < hz.length; k++) {
    writeAbcd(element, hz[k], matrix);
    plane[AR + k] = matrix[0];
    plane[AI + k] = matrix[1];
    plane[BR + k] = matrix[2];
    plane[BI + k] = matrix[3];
    plane[CR + k] = matrix[4];
    plane[CI + k] = matrix[5];
    plane[DR + k] = matrix[6];
    plane[DI + k] = matrix[7];
  }
}

/** A line over evenly spaced frequencies: its phase turns by the same angle from each to the next (by de Moivre, exact to rounding over a chunk). */
function writeLine(line: LineElement, hz: Float64Array, stepHz: number, plane: Float64Array): void {
  const { velocityFactor, lengthM, z0Ohm } = line;
  const angle = phaseConstant(velocityFactor, stepHz) * lengthM;
  const [turnCos, turnSin] = [Math.cos(angle), Math.sin(angle)];
  const first = phaseConstant(velocityFactor, hz[0]) * lengthM;
  let [cos, sin] = [Math.cos(first), Math.sin(first)];
  const lossless = isLossless(line);
  for (let k = 0; k < hz.length; k++) {
    const grow = lossless ? 1 : Math.exp(saturated(attenuationNeper(line, hz[k]) * lengthM));
    putLine(plane, k, CHUNK, grow, cos, sin, z0Ohm);
    const turned = cos * turnCos - sin * turnSin;
    sin = sin * turnCos + cos * turnSin;
    cos = turned;
  }
}

/** running = running · element; what is in the line, or across it, touches only two of the four entries. */
export function append(running: Float64Array, touches: Touches, m: Float64Array, count: number): void {
  if (touches === 'all') multiplyOver(running, m, count);
  else if (touches === 'in the line') addTo(running, BR, AR, DR, CR, m, BR, count);
  else addTo(running, AR, BR, CR, DR, m, CR, count);
}

/** Upper and lower row: `to` += `of` · value, where value is B of something in the line or C of something across it. */
function addTo(
  running: Float64Array,
  to: number,
  of: number,
  lowTo: number,
  lowOf: number,
  m: Float64Array,
  entry: number,
  count: number,
): void {
  for (let k = 0; k < count; k++) {
    const re = m[entry + k];
    const im = m[entry + CHUNK + k];
    running[to + k] += running[of + k] * re - running[of + CHUNK + k] * im;
    running[to + CHUNK + k] += running[of + k] * im + running[of + CHUNK + k] * re;
    running[lowTo + k] += running[lowOf + k] * re - running[lowOf + CHUNK + k] * im;
    running[lowTo + CHUNK + k] += running[lowOf + k] * im + running[lowOf + CHUNK + k] * re;
  }
}

function multiplyOver(running: Float64Array, m: Float64Array, count: number): void {
  for (let k = 0; k < count; k++) {
    const er = m[AR + k];
    const ei = m[AI + k];
    const fr = m[BR + k];
    const fi = m[BI + k];
    const gr = m[CR + k];
    const gi = m[CI + k];
    const hr = m[DR + k];
    const hi = m[DI + k];
    const ar = running[AR + k];
    const ai = running[AI + k];
    const br = running[BR + k];
    const bi = running[BI + k];
    running[AR + k] = ar * er - ai * ei + br * gr - bi * gi;
    running[AI + k] = ar * ei + ai * er + br * gi + bi * gr;
    running[BR + k] = ar * fr - ai * fi + br * hr - bi * hi;
    running[BI + k] = ar * fi + ai * fr + br * hi + bi * hr;
    const cr = running[CR + k];
    const ci = running[CI + k];
    const dr = running[DR + k];
    const di = running[DI + k];
    running[CR + k] = cr * er - ci * ei + dr * gr - di * gi;
    running[CI + k] = cr * ei + ci * er + dr * gi + di * gr;
    running[DR + k] = cr * fr - ci * fi + dr * hr - di * hi;
    running[DI + k] = cr * fi + ci * fr + dr * hi + di * hr;
  }
}
