import type { Cable } from '../../catalog/index.js';
import type { LegKind } from '../../route/index.js';
import type { Way } from '../document/site.js';

/** A cable is held by a grip at least this often on its way up, m. Handbook of the trade, from memory. */
const GRIP_EVERY_M = 60;
/** Below this height clips carry it. Common practice, no source. */
const GRIP_FROM_M = 20;

/** Ways in which a cable hangs or lies on supports. */
const supported: readonly LegKind[] = ['surface clipped', 'tower leg', 'riser', 'boat deck or mast'];

/** Distance of clips and hangers, m: closer where ice hangs on them. Handbook of the trade, from memory. */
export function supportSpacingM(
  way: Pick<Way, 'kind' | 'supportM' | 'conditions' | 'iceMm'>,
  { jacketMm }: Cable,
): number | undefined {
  if (!supported.includes(way.kind)) return undefined;
  if (way.supportM !== undefined) return way.supportM;
  if (way.conditions.includes('ice') || (way.iceMm ?? 0) > 0) return 0.6;
  return jacketMm < 8 ? 0.8 : 1;
}

/** Hoisting grips for a cable which hangs down a rise: by the usual distance, and by what it may be pulled with. */
export function gripsFor(rise: number, weight: number, limitN: number): number {
  const height = Math.abs(rise);
  if (height < GRIP_FROM_M && height * weight < limitN / 3) return 0;
  return Math.ceil(height / Math.min(GRIP_EVERY_M, limitN / weight));
}
