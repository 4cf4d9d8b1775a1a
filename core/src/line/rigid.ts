import { faceOf, type Adapter, type Arrester, type InlineDevice, type Face } from '../catalog/index.js';
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

function elementsOf({ faces, form, electricalMm, device, maxFrequencyHz }: Adapter): Element[] {
  const [a, b] = faces.map(faceOf);
  const line = (ohm: number, share: number): Element => inAir(ohm, (electricalMm / 1000) * share);
  if (device) {
    const ohm = bodyOhm([a, b]);
    return [
      line(ohm, 0.5),
      ...deviceElements(device, ohm, maxFrequencyHz),
      line(ohm * (1 / device.ratio), 0.5),
    ];
  }
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

/**
 * What a device does at its middle: its loss as a matched T pad, (k − 1)/(k + 1) in series twice and 2k/(k² − 1) across with k = 10^(dB/20)
 * (standard texts on attenuators), a transformer, a shorted quarter-wave stub for the middle of its band.
 */
function deviceElements(
  { kind, lossDb, ratio, lowHz }: InlineDevice,
  ohm: number,
  highHz: number,
): Element[] {
  const k = 10 ** (lossDb / 20);
  const arm: Element = { kind: 'series resistance', ohm: (ohm * (k - 1)) / (k + 1) };
  const pad: Element[] =
    lossDb > 0 ? [arm, { kind: 'shunt resistance', ohm: (ohm * 2 * k) / (k * k - 1) }, arm] : [];
  return [
    ...pad,
    ...(ratio === 1 ? [] : [{ kind: 'ideal transformer', ratio: Math.sqrt(ratio) } as const]),
    ...(kind === 'stub tee' ? [quarterStub(lowHz, highHz)] : []),
  ];
}

/** A shorted quarter wave across the line, for the middle of a band. */
const quarterStub = (lowHz: number, highHz: number): Element => ({
  kind: 'shunt stub',
  line: inAir(50, SPEED_OF_LIGHT / (2 * (lowHz + highHz))),
  end: 'short',
});

/** Elements as they are met from the other side. */
export const turnedRound = (elements: readonly Element[]): Element[] =>
  elements
    .toReversed()
    .map((one) => (one.kind === 'ideal transformer' ? { ...one, ratio: 1 / one.ratio } : one));

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
      ? quarterStub(lowHz, highHz)
      : { kind: 'shunt capacitance', farad: capacitanceF };
  return [{ kind: 'contact', dbPerSqrtGhz: insertionLossDb }, across];
}
