import { ungripped } from './bulkhead.js';
import type { StyleKind } from './style.js';

/** No connector: the cable is split into two tails, one from the centre and one from the braid. */
export const pigtail: StyleKind = {
  id: 'pigtail',
  name: 'direct pigtail',
  grip: null,
  radial: ungripped,
  train: () => [
    { id: 'shrink', name: 'adhesive shrink over the split', lengthMm: 40, outerMm: 14 },
    { id: 'lugs', name: 'two lugs', lengthMm: 14, outerMm: 8 },
  ],
};
