import { attenuationNeper, phaseConstant } from './attenuation.js';

/** A uniform line: cable, or half of a connector. Length in m, k1 and k2 in dB per 100 m (f in MHz). */
export interface LineElement {
  kind: 'line';
  z0Ohm: number;
  velocityFactor: number;
  lengthM: number;
  k1: number;
  k2: number;
}

/** Contact loss of a mated pair, as the series resistance which gives `dbPerSqrtGhz` in a 50 ohm line. */
export interface ContactElement {
  kind: 'contact';
  dbPerSqrtGhz: number;
}

/** Capacitance across the line, farad: a gas tube. */
export interface ShuntCapacitance {
  kind: 'shunt capacitance';
  farad: number;
}

/** A resistor in the line or across it, ohm: the arms of a matching pad. */
export interface Resistance {
  kind: 'series resistance' | 'shunt resistance';
  ohm: number;
}

/** A shorted line across the run: a quarter-wave stub passes its own frequency and shorts direct current. Length in m, in air. */
export interface ShuntStub {
  kind: 'shunt stub';
  z0Ohm: number;
  lengthM: number;
}

export type Element = LineElement | ContactElement | ShuntCapacitance | Resistance | ShuntStub;

/** A 2x2 complex matrix A, B, C, D as (re, im) pairs: the chain matrix of a two-port. */
export type Abcd = Float64Array;

/**
 * Writes the chain (ABCD) matrix of one element at one frequency.
 *
 * Line: A = D = cosh γl, B = Z0 sinh γl, C = sinh γl / Z0. Source: Pozar, Microwave Engineering, table of ABCD parameters.
 * @param out 8 numbers: A.re, A.im, B.re, B.im, C.re, C.im, D.re, D.im
 */
export function writeAbcd(element: Element, frequencyHz: number, out: Abcd): void {
  switch (element.kind) {
    case 'line': {
      const lossless = element.k1 === 0 && element.k2 === 0;
      const alphaL = lossless ? 0 : attenuationNeper(element, frequencyHz) * element.lengthM;
      const betaL = phaseConstant(element.velocityFactor, frequencyHz) * element.lengthM;
      const grow = lossless ? 1 : Math.exp(alphaL);
      const cosh = (grow + 1 / grow) / 2;
      const sinh = (grow - 1 / grow) / 2;
      const cos = Math.cos(betaL);
      const sin = Math.sin(betaL);
      out[0] = out[6] = cosh * cos;
      out[1] = out[7] = sinh * sin;
      const re = sinh * cos;
      const im = cosh * sin;
      out[2] = re * element.z0Ohm;
      out[3] = im * element.z0Ohm;
      out[4] = re / element.z0Ohm;
      out[5] = im / element.z0Ohm;
      return;
    }
    case 'contact':
    case 'series resistance':
      out.fill(0);
      out[0] = out[6] = 1;
      out[2] = seriesOhm(element, frequencyHz);
      return;
    case 'shunt resistance':
      out.fill(0);
      out[0] = out[6] = 1;
      out[4] = 1 / element.ohm;
      return;
    case 'shunt capacitance':
    case 'shunt stub':
      out.fill(0);
      out[0] = out[6] = 1;
      out[5] = shuntSiemens(element, frequencyHz);
      return;
  }
}

const seriesOhm = (element: ContactElement | Resistance, frequencyHz: number): number =>
  element.kind === 'contact' ? contactOhm(element.dbPerSqrtGhz, frequencyHz) : element.ohm;

/** Susceptance: 2πfC of a capacitance, −cot βl / Z0 of a shorted stub (Pozar, Microwave Engineering). */
const shuntSiemens = (element: ShuntCapacitance | ShuntStub, frequencyHz: number): number =>
  element.kind === 'shunt capacitance'
    ? 2 * Math.PI * frequencyHz * element.farad
    : -1 / (element.z0Ohm * Math.tan(phaseConstant(1, frequencyHz) * element.lengthM));

/** Series resistance, ohm, which costs `dbPerSqrtGhz·√f` in a matched 50 ohm line: loss = 20 log10(1 + R/100). */
export const contactOhm = (dbPerSqrtGhz: number, frequencyHz: number): number =>
  100 * (10 ** ((dbPerSqrtGhz * Math.sqrt(frequencyHz / 1e9)) / 20) - 1);

/** product = left · right, all 8-number ABCD matrices; `product` may be `left` or `right`. */
export function multiplyAbcd(left: Abcd, right: Abcd, product: Abcd): void {
  const ar = left[0];
  const ai = left[1];
  const br = left[2];
  const bi = left[3];
  const cr = left[4];
  const ci = left[5];
  const dr = left[6];
  const di = left[7];
  const er = right[0];
  const ei = right[1];
  const fr = right[2];
  const fi = right[3];
  const gr = right[4];
  const gi = right[5];
  const hr = right[6];
  const hi = right[7];
  product[0] = ar * er - ai * ei + br * gr - bi * gi;
  product[1] = ar * ei + ai * er + br * gi + bi * gr;
  product[2] = ar * fr - ai * fi + br * hr - bi * hi;
  product[3] = ar * fi + ai * fr + br * hi + bi * hr;
  product[4] = cr * er - ci * ei + dr * gr - di * gi;
  product[5] = cr * ei + ci * er + dr * gi + di * gr;
  product[6] = cr * fr - ci * fi + dr * hr - di * hi;
  product[7] = cr * fi + ci * fr + dr * hi + di * hr;
}

/**
 * total = total · element, the element’s matrix being written already. A series resistance and a shunt touch only two of
 * the four entries, so they are not multiplied out: most elements of a run are contacts.
 */
export function appendPrepared(total: Abcd, element: Element, matrix: Abcd): void {
  switch (element.kind) {
    case 'line':
      return multiplyAbcd(total, matrix, total);
    case 'contact':
    case 'series resistance': {
      const ohm = matrix[2];
      total[2] += total[0] * ohm;
      total[3] += total[1] * ohm;
      total[6] += total[4] * ohm;
      total[7] += total[5] * ohm;
      return;
    }
    case 'shunt resistance': {
      const siemens = matrix[4];
      total[0] += total[2] * siemens;
      total[1] += total[3] * siemens;
      total[4] += total[6] * siemens;
      total[5] += total[7] * siemens;
      return;
    }
    case 'shunt capacitance':
    case 'shunt stub': {
      const siemens = matrix[5];
      total[0] -= total[3] * siemens;
      total[1] += total[2] * siemens;
      total[4] -= total[7] * siemens;
      total[5] += total[6] * siemens;
      return;
    }
  }
}
