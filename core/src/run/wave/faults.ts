import type { Element, LineElement, PlacedElement } from '../../line/index.js';

/** Something wrong on a line, at a place of the ruler; lengths in m. */
export type LineFault =
  /** Crushed or kinked: a short stretch of lower impedance. */
  | { kind: 'crush'; atM: number; lengthM: number; ohm: number }
  /** A contact which is not clean or not tight: resistance in series, ohm. */
  | { kind: 'bad contact'; atM: number; ohm: number }
  /** A whisker, a fired tube: resistance from centre to shell, ohm. */
  | { kind: 'short'; atM: number; ohm: number }
  /** Water in the cable between two places: dielectric loss grows with frequency, dB per 100 m and MHz. */
  | { kind: 'wet'; fromM: number; toM: number; addedK2: number };

/** The elements of a run as they are with these faults. */
export const withFaults = (placed: readonly PlacedElement[], faults: readonly LineFault[]): PlacedElement[] =>
  faults.reduce<PlacedElement[]>((elements, fault) => apply(elements, fault), [...placed]);

function apply(placed: PlacedElement[], fault: LineFault): PlacedElement[] {
  if (fault.kind === 'wet') return wet(placed, fault);
  const [fromM, toM] =
    fault.kind === 'crush' ? [fault.atM, fault.atM + fault.lengthM] : [fault.atM, fault.atM];
  const at = placed.findIndex(
    ({ element, fromM: from, toM: to }) => element.kind === 'line' && to > from && from <= fromM && toM <= to,
  );
  // A fault beyond the end, or over a joint, is of no cable: the line stays as it is.
  if (at < 0) return placed;
  const host = placed[at];
  const line = host.element as LineElement;
  const spoilt: Element =
    fault.kind === 'crush'
      ? { ...line, z0Ohm: fault.ohm, lengthM: (line.lengthM * fault.lengthM) / (host.toM - host.fromM) }
      : { kind: fault.kind === 'short' ? 'shunt resistance' : 'series resistance', ohm: fault.ohm };
  return placed.toSpliced(
    at,
    1,
    ...stretch(host, host.fromM, fromM),
    { element: spoilt, fromM, toM },
    ...stretch(host, toM, host.toM),
  );
}

function wet(placed: PlacedElement[], fault: Extract<LineFault, { kind: 'wet' }>): PlacedElement[] {
  return placed.flatMap((one) => {
    const from = Math.max(one.fromM, fault.fromM);
    const to = Math.min(one.toM, fault.toM);
    if (one.element.kind !== 'line' || to <= from) return [one];
    const [middle] = stretch(one, from, to);
    const line = middle.element as LineElement;
    return [
      ...stretch(one, one.fromM, from),
      { ...middle, element: { ...line, k2: line.k2 + fault.addedK2 } },
      ...stretch(one, to, one.toM),
    ];
  });
}

/** The part of a line between two places; nothing where they meet. */
function stretch({ element, fromM, toM }: PlacedElement, from: number, to: number): PlacedElement[] {
  if (to <= from) return [];
  const line = element as LineElement;
  return [
    {
      element: { ...line, lengthM: (line.lengthM * (to - from)) / (toM - fromM) },
      fromM: from,
      toM: to,
    },
  ];
}
