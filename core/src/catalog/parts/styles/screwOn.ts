import { braidMm } from '../../cable.js';
import { modelCable, roundMm } from '../groups.js';
import { body, couplingNut, type StyleKind } from './style.js';

/** What a braid turned back adds to the jacket's diameter, mm: its own thickness on both sides. */
const foldedMm = (group: Parameters<typeof modelCable>[0]): number => {
  const cable = modelCable(group);
  return cable.jacketMm + braidMm(cable) - cable.dielectricMm;
};

/** The body’s own thread bites over the braid, which is folded back over the jacket. */
export const screwOn: StyleKind = {
  id: 'screw-on',
  name: 'screw-on, braid back',
  grip: 'body thread',
  radial: (group) => {
    const cable = modelCable(group);
    return {
      bodyBoreMm: roundMm(cable.dielectricMm + 0.6),
      neckOuterMm: null,
      gripBoreMm: roundMm(foldedMm(group) - 0.4),
      gripMm: 12,
      foldBackMm: 12,
      hexMm: null,
    };
  },
  train: (part) => [couplingNut(part), body(part, 'body', 'open end on to the cable')],
};
