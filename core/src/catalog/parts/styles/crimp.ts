import { isOfSeries } from '../../face.js';
import type { Cable } from '../../cable.js';
import type { PartDimensions, TrainItem } from '../../part.js';
import { clearance, hexDiesMm, modelCable, roundMm } from '../groups.js';
import { body, centrePin, couplingNut, isUhf, type Axial, type Radial, type StyleKind } from './style.js';

/** A stem under the braid and a hex-crimped ferrule over it. */
export function ferruled(cable: Cable, { neckMm }: Axial): Radial {
  const neckOuterMm = roundMm(cable.dielectricMm + 0.15 + 2 * 0.3);
  const gripBoreMm = roundMm(
    Math.max(cable.jacketMm + clearance.jacket, neckOuterMm + 0.7 + clearance.ferruleOverBraid),
  );
  return {
    bodyBoreMm: roundMm(cable.dielectricMm + clearance.dielectric),
    neckOuterMm,
    gripBoreMm,
    gripMm: Math.max(8, neckMm * 2 - 2),
    foldBackMm: 0,
    hexMm: hexDiesMm.find((die) => die > gripBoreMm - 0.3) ?? hexDiesMm[hexDiesMm.length - 1],
  };
}

export function shrinkAndFerrule({ gripMm, gripBoreMm }: PartDimensions): TrainItem[] {
  const ferruleOuter = roundMm((gripBoreMm ?? 0) + 0.8);
  return [
    { id: 'shrink', name: 'shrink tube', lengthMm: gripMm + 14, outerMm: roundMm(ferruleOuter + 1.2) },
    { id: 'ferrule', name: 'ferrule', lengthMm: gripMm, outerMm: ferruleOuter },
  ];
}

export const crimp: StyleKind = {
  id: 'crimp',
  name: 'crimp',
  grip: 'ferrule',
  radial: (group, axial) => ferruled(modelCable(group), axial),
  train: (part) => [
    ...(isUhf(part) ? [couplingNut(part)] : []),
    ...shrinkAndFerrule(part),
    ...(isUhf(part) || isOfSeries(part.face, 'f') ? [] : [centrePin(part, 8, 2.2)]),
    body(part, 'body', 'neck towards the jacket'),
  ],
};
