import type { Cable } from '../catalog/index.js';
import { attenuationNeper, lossFloor, phaseConstant, SPEED_OF_LIGHT } from './attenuation.js';

/** A uniform line: cable, or half of a connector. Length in m, k1 and k2 in dB per 100 m (f in MHz). */
export interface LineElement {
  kind: 'line';
  z0Ohm: number;
  velocityFactor: number;
  lengthM: number;
  k1: number;
  k2: number;
  /** Where the law of its loss begins to hold, MHz. */
  lawFromMhz?: number;
  /** It never loses less, dB per 100 m: what its copper has for direct current. */
  floorDbPer100M?: number;
  /** With the complex impedance which its losses give it; as a rule the nominal, real one is taken. */
  complexZ0?: boolean;
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

/** A line across the run, shorted or open at its far end: a stub, or the arrester that is one. */
export interface ShuntStub {
  kind: 'shunt stub';
  line: LineElement;
  end: 'open' | 'short';
}

/** Resistance, inductance and capacitance one after the other, in the line or across it; 0 where there is none. */
export interface Branch {
  kind: 'series branch' | 'shunt branch';
  ohm: number;
  henry: number;
  farad: number;
}

/** An ideal transformer: `ratio` volts at the source side for one at the load side. */
export interface IdealTransformer {
  kind: 'ideal transformer';
  ratio: number;
}

export type Element =
  LineElement | ContactElement | ShuntCapacitance | Resistance | ShuntStub | Branch | IdealTransformer;

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
      if (element.complexZ0) return writeComplexLine(element, frequencyHz, out);
      const lossless = isLossless(element);
      const alphaL = lossless ? 0 : saturated(attenuationNeper(element, frequencyHz) * element.lengthM);
      const betaL = phaseConstant(element.velocityFactor, frequencyHz) * element.lengthM;
      const grow = lossless ? 1 : Math.exp(alphaL);
      putLine(out, 0, 1, grow, Math.cos(betaL), Math.sin(betaL), element.z0Ohm);
      return;
    }
    case 'contact':
      out.fill(0);
      out[0] = out[6] = 1;
      out[2] = contactOhm(element.dbPerSqrtGhz, frequencyHz);
      return;
    case 'series resistance':
      out.fill(0);
      out[0] = out[6] = 1;
      out[2] = element.ohm;
      return;
    case 'shunt resistance':
      out.fill(0);
      out[0] = out[6] = 1;
      out[4] = 1 / element.ohm;
      return;
    case 'shunt capacitance':
      out.fill(0);
      out[0] = out[6] = 1;
      out[5] = 2 * Math.PI * frequencyHz * element.farad;
      return;
    case 'series branch': {
      out.fill(0);
      out[0] = out[6] = 1;
      out[2] = element.ohm;
      out[3] = branchReactance(element, frequencyHz);
      return;
    }
    case 'shunt branch': {
      const reactance = branchReactance(element, frequencyHz);
      const size = element.ohm * element.ohm + reactance * reactance;
      out.fill(0);
      out[0] = out[6] = 1;
      out[4] = element.ohm / size;
      out[5] = -reactance / size;
      return;
    }
    case 'shunt stub':
      writeStub(element, frequencyHz, out);
      return;
    case 'ideal transformer':
      out.fill(0);
      out[0] = element.ratio;
      out[6] = 1 / element.ratio;
      return;
  }
}

/**
 * The chain matrix of a line: A = D = cosh γl, B = Z0 sinh γl, C = sinh γl / Z0.
 *
 * @param at where its first number goes
 * @param apart how far each of the eight is from the one before
 * @param grow e to the power of its loss in neper
 * @param cos of its phase; @param sin the same
 */
export function putLine(
  out: Float64Array,
  at: number,
  apart: number,
  grow: number,
  cos: number,
  sin: number,
  z0Ohm: number,
): void {
  const cosh = (grow + 1 / grow) / 2;
  const sinh = (grow - 1 / grow) / 2;
  const re = sinh * cos;
  const im = cosh * sin;
  out[at] = out[at + 6 * apart] = cosh * cos;
  out[at + apart] = out[at + 7 * apart] = sinh * sin;
  out[at + 2 * apart] = re * z0Ohm;
  out[at + 3 * apart] = im * z0Ohm;
  out[at + 4 * apart] = re / z0Ohm;
  out[at + 5 * apart] = im / z0Ohm;
}

/** ωL − 1/(ωC); 0 henry and 0 farad are no inductor and no capacitor. */
const branchReactance = ({ henry, farad }: Branch, frequencyHz: number): number => {
  const omega = 2 * Math.PI * frequencyHz;
  return omega * henry - (farad === 0 ? 0 : 1 / (omega * farad));
};

const stubMatrix = new Float64Array(8);

/** Admittance of a stub: D/B of its line when shorted, C/A when open (Pozar, Microwave Engineering). */
function writeStub({ line, end }: ShuntStub, frequencyHz: number, out: Abcd): void {
  writeAbcd(line, frequencyHz, stubMatrix);
  const [over, under] = end === 'short' ? [6, 2] : [4, 0];
  const [nr, ni, dr, di] = [stubMatrix[over], stubMatrix[over + 1], stubMatrix[under], stubMatrix[under + 1]];
  const size = dr * dr + di * di;
  out.fill(0);
  out[0] = out[6] = 1;
  out[4] = (nr * dr + ni * di) / size;
  out[5] = (ni * dr - nr * di) / size;
}

/**
 * Resistance, inductance, conductance and capacitance per metre, from impedance, velocity and the loss law.
 *
 * R = 2 Z0 α_c and G = 2 α_d / Z0, where α_c is the part of the loss that grows with √f (conductors) and α_d the one that
 * grows with f (dielectric), neper per m; L = Z0/v, C = 1/(Z0 v). Source: low-loss line, Pozar, Microwave Engineering.
 */
export function primaryConstants(
  line: Omit<LineElement, 'kind' | 'lengthM'>,
  frequencyHz: number,
): { ohmPerM: number; henryPerM: number; siemensPerM: number; faradPerM: number } {
  const { z0Ohm, velocityFactor, k1, k2 } = line;
  const speed = velocityFactor * SPEED_OF_LIGHT;
  return {
    ohmPerM: 2 * z0Ohm * attenuationNeper({ k1, k2: 0 }, frequencyHz),
    henryPerM: z0Ohm / speed,
    siemensPerM: (2 * attenuationNeper({ k1: 0, k2 }, frequencyHz)) / z0Ohm,
    faradPerM: 1 / (z0Ohm * speed),
  };
}

/** √((R + jωL)/(G + jωC)), ohm: below unity angle for lossy conductors. */
export function complexImpedance(
  line: Omit<LineElement, 'kind' | 'lengthM'>,
  frequencyHz: number,
): [re: number, im: number] {
  const { ohmPerM, henryPerM, siemensPerM, faradPerM } = primaryConstants(line, frequencyHz);
  const omega = 2 * Math.PI * frequencyHz;
  return root(quotient([ohmPerM, omega * henryPerM], [siemensPerM, omega * faradPerM]));
}

type Pair = [re: number, im: number];
const quotient = ([ar, ai]: Pair, [br, bi]: Pair): Pair => {
  const size = br * br + bi * bi;
  return [(ar * br + ai * bi) / size, (ai * br - ar * bi) / size];
};
const product = ([ar, ai]: Pair, [br, bi]: Pair): Pair => [ar * br - ai * bi, ar * bi + ai * br];
/** The root in the right half plane. */
const root = ([re, im]: Pair): Pair => {
  const size = Math.sqrt(Math.hypot(re, im));
  const angle = Math.atan2(im, re) / 2;
  return [size * Math.cos(angle), size * Math.sin(angle)];
};

function writeComplexLine(line: LineElement, frequencyHz: number, out: Abcd): void {
  const { ohmPerM, henryPerM, siemensPerM, faradPerM } = primaryConstants(line, frequencyHz);
  const omega = 2 * Math.PI * frequencyHz;
  const [alpha, beta] = root(product([ohmPerM, omega * henryPerM], [siemensPerM, omega * faradPerM]));
  const z = complexImpedance(line, frequencyHz);
  const grow = Math.exp(alpha * line.lengthM);
  const [cosh, sinh] = [(grow + 1 / grow) / 2, (grow - 1 / grow) / 2];
  const [cos, sin] = [Math.cos(beta * line.lengthM), Math.sin(beta * line.lengthM)];
  const s: Pair = [sinh * cos, cosh * sin];
  out[0] = out[6] = cosh * cos;
  out[1] = out[7] = sinh * sin;
  [out[2], out[3]] = product(s, z);
  [out[4], out[5]] = quotient(s, z);
}

/** Series resistance, ohm, which costs `dbPerSqrtGhz·√f` in a matched 50 ohm line: loss = 20 log10(1 + R/100). */
export const contactOhm = (dbPerSqrtGhz: number, frequencyHz: number): number =>
  100 * Math.expm1(((dbPerSqrtGhz * Math.sqrt(frequencyHz / 1e9)) / 20) * Math.LN10);

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

/** Nothing is left behind so much loss, 347 dB: more of it in one cable would only overflow, and say NaN. */
const MAX_NEPER = 40;
export const saturated = (neper: number): number => Math.min(MAX_NEPER, neper);

/** Does a line lose nothing at any frequency? */
export const isLossless = ({ k1, k2, floorDbPer100M = 0 }: LineElement): boolean =>
  k1 === 0 && k2 === 0 && floorDbPer100M === 0;

/** A cable as a line of a length, m, with its nominal impedance. */
export const cableLine = (cable: Cable, lengthM: number): LineElement => {
  const { impedanceOhm: z0Ohm, velocityFactor, k1, k2, lawFromMhz = 1 } = cable;
  const floorDbPer100M = lossFloor(cable);
  return { kind: 'line', z0Ohm, velocityFactor, lengthM, k1, k2, lawFromMhz, floorDbPer100M };
};
