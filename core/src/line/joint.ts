import { seriesOf, variantOf, type Face } from '../catalog/index.js';
import type { Element, LineElement } from './element.js';
import { sweep } from './response.js';
import { returnLossDb } from './reflection.js';

/** What a connector’s body adds before the half of its pair begins, to its own impedance: it delays, and sends nothing back. */
export const bodyLine = ({ impedanceOhm }: Face, lengthM: number): LineElement => ({
  kind: 'line',
  z0Ohm: impedanceOhm ?? 50,
  velocityFactor: 1,
  lengthM,
  k1: 0,
  k2: 0,
});

/** A lossless line of the face's own impedance: half of a connector pair. */
function half(face: Face): LineElement {
  const series = seriesOf(face);
  return {
    kind: 'line',
    z0Ohm: series.lineImpedanceOhm ?? face.impedanceOhm ?? 50,
    velocityFactor: 1,
    lengthM: series.electricalMm[face.body] / 1000,
    k1: 0,
    k2: 0,
  };
}

type Joint = readonly [LineElement, Element, LineElement];

const known = new WeakMap<Face, WeakMap<Face, Joint>>();

/**
 * What a wave passes where two faces meet: both halves as short lines of their own impedance, and the contact between them.
 * The same two faces give the same elements, which a sweep then works out once.
 */
export function jointElements(left: Face, right: Face): Joint {
  const ofLeft = known.get(left) ?? new WeakMap<Face, Joint>();
  known.set(left, ofLeft);
  const made = ofLeft.get(right) ?? joint(left, right);
  ofLeft.set(right, made);
  return made;
}

function joint(left: Face, right: Face): Joint {
  const dbPerSqrtGhz = Math.max(seriesOf(left).contactDbPerSqrtGhz, seriesOf(right).contactDbPerSqrtGhz);
  return [half(left), { kind: 'contact', dbPerSqrtGhz }, half(right)];
}

/** A cascade alone between matched lines at one frequency: its loss and its echo, dB, both positive. */
export function aloneDb(
  elements: readonly Element[],
  frequencyHz: number,
  ohm = 50,
): { lossDb: number; echoDb: number } {
  const { transmissionDb, reflection } = sweep(
    elements,
    { re: ohm, im: 0 },
    new Float64Array([frequencyHz]),
    ohm,
  );
  return { lossDb: -transmissionDb[0], echoDb: returnLossDb(reflection[0]) };
}

/** SWR 1.3 at the top of a series is what the parts of IEC 61169 allow a pair: as a reflection factor. From memory. */
const MADE_AT_TOP = 0.13;
/** Even the best series send back so much per GHz as they are made and fitted. Common practice, no source. */
const MADE_PER_GHZ = 0.012;

/**
 * What a good pair of a series sends back as it is made and fitted, as a reflection factor: it grows with frequency up to what its standard
 * allows at the top.
 */
export function madeReflection(left: Face, right: Face, frequencyHz: number): number {
  const topHz = Math.min(...[left, right].map((face) => variantOf(face).maxFrequencyHz));
  return Math.min(
    MADE_AT_TOP,
    Math.max((MADE_AT_TOP * frequencyHz) / topHz, (MADE_PER_GHZ * frequencyHz) / 1e9),
  );
}

/** Echo of a joint between matched lines, dB: of its lines and its contact, and of how such parts are made, at their worst together. */
export function jointEchoDb(left: Face, right: Face, frequencyHz: number, ohm = 50): number {
  const { echoDb } = aloneDb(jointElements(left, right), frequencyHz, ohm);
  return returnLossDb(Math.min(1, 10 ** (-echoDb / 20) + madeReflection(left, right, frequencyHz)));
}
