import { clearance, modelCable, pinsFor, roundMm } from '../groups.js';
import { body, couplingNut, type StyleKind } from './style.js';

/** Nothing is stripped: teeth go through the jacket into the braid, a spike into the stranded centre. */
export const piercing: StyleKind = {
  id: 'piercing',
  name: 'piercing',
  grip: 'shell',
  radial: (group, { pinDepthMm }) => {
    const [pin] = pinsFor(group, pinDepthMm);
    return {
      bodyBoreMm: null,
      neckOuterMm: null,
      gripBoreMm: roundMm(modelCable(group).jacketMm + clearance.jacket),
      gripMm: 20,
      foldBackMm: 0,
      hexMm: null,
      pins: [{ ...pin, made: 'stranded' }],
    };
  },
  train: (part) => [couplingNut(part), body(part, 'connector', 'open end on to the cable')],
};
