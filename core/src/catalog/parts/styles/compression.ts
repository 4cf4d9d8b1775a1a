import { clearance, modelCable, roundMm } from '../groups.js';
import { bodyOuterMm, type StyleKind } from './style.js';

/** The cable’s own conductor is the pin; a mandrel under the braid, the shell compressed on to the jacket. */
export const compression: StyleKind = {
  id: 'compression',
  name: 'compression',
  grip: 'shell',
  radial: (group) => {
    const cable = modelCable(group);
    return {
      bodyBoreMm: roundMm(cable.dielectricMm + clearance.dielectric),
      neckOuterMm: roundMm(cable.dielectricMm + 1.1),
      gripBoreMm: roundMm(cable.jacketMm + 1.4),
      gripMm: 20,
      foldBackMm: 6,
      hexMm: null,
    };
  },
  train: (part) => [
    {
      id: 'body',
      name: 'connector',
      lengthMm: part.gripMm + 2,
      outerMm: bodyOuterMm(part),
      direction: 'nut towards the cable’s end',
    },
  ],
};
