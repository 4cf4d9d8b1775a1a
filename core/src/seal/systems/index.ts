import { adhesiveShrink } from './adhesiveShrink.js';
import { coldShrink } from './coldShrink.js';
import { gelBoot } from './gelBoot.js';
import { mastic } from './mastic.js';
import { rubberAndVinyl } from './rubberAndVinyl.js';
import type { SealSystem, SealSystemId } from './system.js';

/** Every system: a new one is a file and a line here. What no layer closes, in the ground or over a bare pair, is in `closures`. */
export const sealSystems: readonly SealSystem[] = [
  rubberAndVinyl,
  mastic,
  coldShrink,
  adhesiveShrink,
  gelBoot,
];

export function sealSystem(id: SealSystemId): SealSystem {
  const found = sealSystems.find((one) => one.id === id);
  if (!found) throw new Error(`no seal system is called ${id}`);
  return found;
}

export { passesFor } from './rubberAndVinyl.js';
export { sealSystemIds, type SealMethod, type SealSystem, type SealSystemId } from './system.js';
