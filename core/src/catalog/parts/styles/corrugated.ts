import { braidMm } from '../../cable.js';
import { clearance, modelCable, roundMm } from '../groups.js';
import { body, type StyleKind } from './style.js';

/** A corrugated tube has no braid: a ring grips its first crest, and two halves are screwed together over it. */
export const corrugated: StyleKind = {
  id: 'corrugated',
  name: 'clamped on the corrugation',
  grip: 'back half',
  radial: (group) => {
    const cable = modelCable(group);
    return {
      bodyBoreMm: roundMm(braidMm(cable) + clearance.dielectric),
      neckOuterMm: null,
      gripBoreMm: roundMm(cable.jacketMm + clearance.jacket),
      gripMm: 24,
      foldBackMm: 0,
      hexMm: null,
    };
  },
  train: (part) => [
    {
      id: 'back',
      name: 'back half with its seal',
      lengthMm: part.gripMm,
      outerMm: roundMm((part.gripBoreMm ?? 0) + 6),
      direction: 'thread towards the cable’s end',
    },
    { id: 'ring', name: 'clamp ring', lengthMm: 6, outerMm: roundMm((part.bodyBoreMm ?? 0) + 2) },
    body(part, 'front half with the contact', 'contact on the conductor, straight'),
  ],
};
