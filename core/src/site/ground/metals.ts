import type { BondRole, CodeProfile } from '../../ground/index.js';
import type { Metal } from '../document/ground.js';

/** How much more of a metal than of copper: IEC 62305-3 table 8 asks 16, 25 and 50 mm² of copper, aluminium and steel; from memory. */
const OVER_COPPER: Record<Metal, number> = {
  copper: 1,
  'tinned copper': 1,
  brass: 25 / 16,
  aluminium: 25 / 16,
  zinc: 50 / 16,
  'stainless steel': 50 / 16,
};

/** Smallest section a profile asks for, mm². */
export const smallestMm2 = (profile: CodeProfile, role: BondRole, metal: Metal): number =>
  profile.copperMm2[role] * OVER_COPPER[metal];

const NOBLE: readonly Metal[] = ['copper', 'brass'];
const BASE: readonly Metal[] = ['zinc', 'aluminium'];

/** Do these two eat each other where they touch in the wet? Copper on zinc and aluminium; handbook of the trade, from memory. */
export const metalsClash = (one: Metal, other: Metal): boolean =>
  (NOBLE.includes(one) && BASE.includes(other)) || (NOBLE.includes(other) && BASE.includes(one));
