import { reduced, reducerItem } from './reducer.js';
import { body, couplingNut, type StyleKind } from './style.js';

/** Solder-less: the braid is fanned over the reducer and pressed by a washer and a spacer. */
export const washers: StyleKind = {
  id: 'washers',
  name: 'washer and spacer',
  grip: 'reducer',
  radial: (group) => reduced(group, 0),
  train: (part) => [
    { id: 'relief', name: 'strain relief', lengthMm: 25, outerMm: (part.gripBoreMm ?? 0) + 3 },
    reducerItem(part),
    couplingNut(part),
    { id: 'washer', name: 'washer', lengthMm: 1, outerMm: 11, direction: 'on the fanned braid' },
    { id: 'spacer', name: 'spacer', lengthMm: 4, outerMm: 11 },
    body(part, 'body', 'open end on to the spacer'),
  ],
};
