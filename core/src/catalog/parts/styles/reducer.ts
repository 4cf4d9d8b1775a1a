import type { PartDimensions, TrainItem } from '../../part.js';
import { clearance, modelCable, roundMm } from '../groups.js';
import { body, couplingNut, type Radial, type StyleKind } from './style.js';

/** The body is made for 10 mm cable; its rear thread takes the reducer. */
const REDUCER_OUTER_MM = 10.6;

export const reduced = (group: Parameters<typeof modelCable>[0], foldBackMm: number): Radial => ({
  bodyBoreMm: null,
  neckOuterMm: null,
  gripBoreMm: roundMm(modelCable(group).jacketMm + clearance.jacket),
  gripMm: 14,
  foldBackMm,
  hexMm: null,
});

export const reducerItem = ({ gripMm }: PartDimensions): TrainItem => ({
  id: 'reducer',
  name: 'reducer',
  lengthMm: gripMm,
  outerMm: REDUCER_OUTER_MM,
  direction: 'nose towards the cable’s end',
});

/** A reducer takes thin cable into the body for 10 mm cable; the braid lies folded over its nose. */
export const reducer: StyleKind = {
  id: 'reducer',
  name: 'reducer',
  grip: 'reducer',
  radial: (group) => reduced(group, 10),
  train: (part) => [
    { ...couplingNut(part) },
    { id: 'shrink', name: 'shrink tube', lengthMm: 30, outerMm: roundMm((part.gripBoreMm ?? 0) + 1.5) },
    reducerItem(part),
    body(part, 'body', 'open end on to the reducer'),
  ],
};
