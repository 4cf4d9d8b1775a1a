import { braidMm } from '../../cable.js';
import type { PartDimensions, TrainItem } from '../../part.js';
import { clearance, modelCable, roundMm } from '../groups.js';
import { body, bodyOuterMm, centrePin, isUhf, type StyleKind } from './style.js';

const FRONT_MM = 4;

const insulator = (id: string, name: string, lengthMm: number): TrainItem => ({
  id,
  name,
  lengthMm,
  outerMm: 7,
  direction: 'recess towards the pin',
});

/** Washer and rubber gland squeezed by a back nut, the braid trapped by a top-hat. */
export const gland: StyleKind = {
  id: 'gland',
  name: 'gland',
  grip: 'gland',
  radial: (group) => {
    const cable = modelCable(group);
    return {
      bodyBoreMm: roundMm(cable.dielectricMm + clearance.dielectric),
      neckOuterMm: roundMm(cable.dielectricMm + 0.6),
      gripBoreMm: roundMm(cable.jacketMm + clearance.jacket),
      gripMm: 19,
      foldBackMm: 0,
      hexMm: null,
    };
  },
  train: (part) => [...stack(part), ...contacts(part), body(part, isUhf(part) ? 'body' : 'shell')],
};

function stack(part: PartDimensions): TrainItem[] {
  const jacketMm = (part.gripBoreMm ?? 0) - clearance.jacket;
  const outer = roundMm(Math.max(jacketMm + 3, Math.min(bodyOuterMm(part) - 2, jacketMm + 6)));
  return [
    {
      id: 'backnut',
      name: 'back nut',
      lengthMm: 12,
      outerMm: outer,
      direction: 'thread towards the cable’s end',
    },
    { id: 'washer', name: 'washer', lengthMm: 1, outerMm: roundMm(outer - 1.5) },
    {
      id: 'gland',
      name: 'rubber gland',
      lengthMm: 6,
      outerMm: roundMm(outer - 1.5),
      direction: 'groove towards the clamp sleeve',
    },
    {
      id: 'hat',
      name: 'clamp sleeve',
      lengthMm: part.neckMm,
      outerMm: roundMm((part.neckOuterMm ?? 0) - 0.6 + braidMm({ dielectricMm: 0, shieldKind: 'braid' }) + 2),
      direction: 'rim towards the cable’s end',
    },
  ];
}

const contacts = (part: PartDimensions): TrainItem[] =>
  isUhf(part)
    ? []
    : [
        insulator('rear', 'rear insulator', part.rearMm ?? FRONT_MM),
        centrePin(part, 10, 3),
        insulator('front', 'front insulator', FRONT_MM),
      ];
