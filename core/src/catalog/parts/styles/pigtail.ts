import { ungripped } from './bulkhead.js';
import { modelCable, roundMm } from '../groups.js';
import type { StyleKind } from './style.js';

/** No connector: the cable is split into two tails, one from the centre and one from the braid. */
export const pigtail: StyleKind = {
  id: 'pigtail',
  name: 'direct pigtail',
  grip: 'shrink',
  radial: (group, axial, face) => ({
    ...ungripped(group, axial, face),
    // The shrink over the split, before it is heated.
    gripBoreMm: roundMm(modelCable(group).jacketMm + 2),
    gripMm: 40,
  }),
  train: () => [
    { id: 'shrink', name: 'adhesive shrink over the split', lengthMm: 40, outerMm: 14 },
    { id: 'lugs', name: 'two lugs', lengthMm: 14, outerMm: 8 },
  ],
};
