import { seriesOf, type Face } from '../catalog/index.js';
import type { Element, LineElement } from './element.js';
import { sweep } from './response.js';
import { returnLossDb } from './reflection.js';

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
