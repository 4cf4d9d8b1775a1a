import { writeAbcd, type Abcd, type Element } from './element.js';

/** Frequencies worked through at once: what is read again and again then stays near the processor. */
const CHUNK = 128;
/** Entries of a chain matrix: A, B, C, D as (re, im). Each has a plane of `CHUNK` values in one array. */
const PLANES = 8;
const [AR, AI, BR, BI, CR, CI, DR, DI] = Array.from({ length: PLANES }, (_, p) => p * CHUNK);

/**
 * The chain matrix of a cascade at every frequency, one after the other in the same array.
 *
 * The joints of a run are a few kinds over and over: each kind is worked out once for each frequency.
 */
export function cascadeOver(
  elements: readonly Element[],
  frequenciesHz: Float64Array,
  each: (total: Abcd, k: number) => void,
): void {
  const kinds = [...new Set(elements)];
  const planes = kinds.map(() => new Float64Array(PLANES * CHUNK));
  const order = elements.map((element) => kinds.indexOf(element));
  const running = new Float64Array(PLANES * CHUNK);
  const total = new Float64Array(PLANES);
  for (let from = 0; from < frequenciesHz.length; from += CHUNK) {
    const count = Math.min(CHUNK, frequenciesHz.length - from);
    for (let j = 0; j < kinds.length; j++) writeOver(kinds[j], frequenciesHz, from, count, planes[j]);
    running.fill(0);
    running.fill(1, AR, AR + count);
    running.fill(1, DR, DR + count);
    for (const j of order) appendOver(running, kinds[j].kind, planes[j], count);
    for (let k = 0; k < count; k++) {
      for (let p = 0; p < PLANES; p++) total[p] = running[p * CHUNK + k];
      each(total, from + k);
    }
  }
}

const matrix = new Float64Array(PLANES);

function writeOver(
  element: Element,
  frequenciesHz: Float64Array,
  from: number,
  count: number,
  plane: Float64Array,
): void {
  for (let k = 0; k < count; k++) {
    writeAbcd(element, frequenciesHz[from + k], matrix);
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

/** running = running · element; what is in the line, or across it, touches only two of the four entries. */
function appendOver(running: Float64Array, kind: Element['kind'], m: Float64Array, count: number): void {
  switch (kind) {
    case 'contact':
    case 'series resistance':
    case 'series branch':
      addTo(running, BR, AR, DR, CR, m, BR, count);
      return;
    case 'shunt resistance':
    case 'shunt capacitance':
    case 'shunt branch':
    case 'shunt stub':
      addTo(running, AR, BR, CR, DR, m, CR, count);
      return;
    case 'line':
    case 'ideal transformer':
      multiplyOver(running, m, count);
      return;
  }
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
