import { faceOf, type Adapter, type Arrester, type Face } from '../catalog/index.js';
import { SPEED_OF_LIGHT } from './attenuation.js';
import type { Element, LineElement } from './element.js';

/** Impedance of an adapter's body: that of its faces where they agree, else 50 ohm. */
const bodyOhm = ([a, b]: Face[]): number =>
  a.impedanceOhm !== null && a.impedanceOhm === b.impedanceOhm ? a.impedanceOhm : 50;

/**
 * What a wave passes between the two faces of an adapter, first face first.
 *
 * A matching pad is the minimum-loss L pad: 75·√(1 − 50/75) in series on the 75 ohm side, 50/√(1 − 50/75) across the
 * 50 ohm side; 5.72 dB. Source: standard texts on attenuators.
 */
export function adapterElements(adapter: Adapter): readonly Element[] {
  const made = known.get(adapter) ?? elementsOf(adapter);
  known.set(adapter, made);
  return made;
}

const known = new WeakMap<Adapter, readonly Element[]>();

function elementsOf({ faces, form, electricalMm }: Adapter): Element[] {
  const [a, b] = faces.map(faceOf);
  const line = (ohm: number, share: number): Element => inAir(ohm, (electricalMm / 1000) * share);
  if (form !== 'matching pad') return [line(bodyOhm([a, b]), 1)];
  const root = Math.sqrt(1 - 50 / 75);
  const arms: Element[] = [
    { kind: 'series resistance', ohm: 75 * root },
    { kind: 'shunt resistance', ohm: 50 / root },
  ];
  return a.impedanceOhm === 75
    ? [line(75, 0.5), ...arms, line(50, 0.5)]
    : [line(50, 0.5), ...arms.reverse(), line(75, 0.5)];
}

const inAir = (z0Ohm: number, lengthM: number): LineElement => ({
  kind: 'line',
  z0Ohm,
  velocityFactor: 1,
  lengthM,
  k1: 0,
  k2: 0,
});

/** What a wave passes in an arrester: its loss, and the tube or the stub across the line. */
export function arresterElements({
  kind,
  insertionLossDb,
  capacitanceF,
  lowHz,
  highHz,
}: Arrester): Element[] {
  const across: Element =
    kind === 'quarter-wave stub'
      ? { kind: 'shunt stub', line: inAir(50, SPEED_OF_LIGHT / (2 * (lowHz + highHz))), end: 'short' }
      : { kind: 'shunt capacitance', farad: capacitanceF };
  return [{ kind: 'contact', dbPerSqrtGhz: insertionLossDb }, across];
}
