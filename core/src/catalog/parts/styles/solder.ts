import { isPushOn } from '../../face.js';
import { braidMm } from '../../cable.js';
import { clearance, modelCable, roundMm } from '../groups.js';
import { body, bodyOuterMm, couplingNut, isUhf, usualPins, type StyleKind } from './style.js';

/** The tinned braid soldered to the body through its holes; of a push-on plug, to its tab. */
export const solder: StyleKind = {
  id: 'solder',
  name: 'solder',
  grip: 'body',
  radial: (group, axial, face) => {
    const cable = modelCable(group);
    const push = isPushOn(face);
    return {
      bodyBoreMm: push ? null : roundMm(braidMm(cable) + 0.4),
      neckOuterMm: null,
      gripBoreMm: roundMm(cable.jacketMm + (push ? 1.5 : clearance.jacket)),
      gripMm: 12,
      foldBackMm: 0,
      hexMm: null,
      pins: usualPins(group, axial),
    };
  },
  train: (part) => [
    isUhf(part)
      ? couplingNut(part)
      : {
          id: 'cover',
          name: 'cover',
          lengthMm: 24,
          outerMm: bodyOuterMm(part) + 0.5,
          direction: 'open end towards the cable’s end',
        },
    body(part, 'body'),
  ],
};
