import { freshId } from '../../run/index.js';
import type { Bond, Ground, Metal } from '../document/ground.js';
import type { CodeProfile } from '../../ground/index.js';
import { metalsClash, smallestMm2 } from './metals.js';
import { isBar, roleOf, type GroundPart } from './nodes.js';

/** Conductors which the trade keeps, mm². Common practice, no source. */
const SIZES_MM2 = [4, 6, 10, 16, 25, 35, 50, 70, 95];

/** A conductor between two parts as the profile asks for it; an arrester is screwed on to its bar. */
export function usualBond(
  ground: Pick<Ground, 'bonds'>,
  profile: CodeProfile,
  from: GroundPart,
  to: GroundPart,
): Bond {
  const role = roleOf(from, to);
  const onBar = role === 'arrester' && (isBar(from) || isBar(to));
  const metal: Metal = [from, to].some((part) => metalsClash('copper', part.metal))
    ? 'tinned copper'
    : 'copper';
  const least = smallestMm2(profile, role, metal);
  return {
    id: freshId(ground.bonds, 'conductor'),
    from: from.id,
    to: to.id,
    ...(onBar ? { lengthM: 0 } : {}),
    section: { areaMm2: SIZES_MM2.find((mm2) => mm2 >= least) ?? SIZES_MM2[SIZES_MM2.length - 1] },
    metal,
    parallel: 1,
    sharpBends: 0,
    joint: onBar ? 'mounted' : 'clamp',
    bimetal: false,
  };
}
