import { box } from './box.js';
import type { Closure, ClosureId } from './closure.js';
import { pit } from './pit.js';
import { pottedPair } from './pottedPair.js';
import { splice } from './splice.js';

/** Every way to close a joint without layers: a new one is a file and a line here. */
const closures: Record<ClosureId, Closure> = { pit, box, splice, 'potted pair': pottedPair };

export const closure = (id: ClosureId): Closure => closures[id];

/** What is said of a joint in the ground which lies in nothing yet. */
export const buriedInstructions = [
  'A joint in the ground is never taped and buried: water gets in within a season or two.',
  'Put it in a pit or box above the water, or into a resin or gel splice rated for burial; best of all, run the cable through without a joint.',
] as const;

export { closureIds } from './closure.js';
export type { Closure, ClosureId, ClosurePlan, ClosureStep } from './closure.js';
