import { pinsFor } from '../groups.js';
import { bodyOuterMm, type StyleKind } from './style.js';

/** Nothing of the part goes over the cable: only its centre has a place. */
export const ungripped: StyleKind['radial'] = (group, { pinDepthMm }) => ({
  bodyBoreMm: null,
  neckOuterMm: null,
  gripBoreMm: null,
  gripMm: 0,
  foldBackMm: 0,
  hexMm: null,
  pins: pinsFor(group, pinDepthMm),
});

/** A panel jack: the conductor goes into its solder cup, the braid to its tag. */
export const bulkhead: StyleKind = {
  id: 'bulkhead',
  name: 'bulkhead',
  grip: null,
  radial: ungripped,
  train: (part) => [
    { id: 'shrink', name: 'adhesive shrink over the split', lengthMm: 40, outerMm: 14 },
    { id: 'body', name: 'jack with nut and tag', lengthMm: part.jacketToPlaneMm, outerMm: bodyOuterMm(part) },
  ],
};
