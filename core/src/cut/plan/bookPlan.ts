import type { Reel } from '../../catalog/index.js';
import type { CuttingPlan } from './cuttingPlan.js';
import { soundSpans } from './stock.js';

/** What the shelf becomes when a plan is cut. */
export interface Booking {
  /** Reels as they are afterwards, and the offcuts that came of them. */
  put: Reel[];
  /** Ids of reels which are used up. */
  remove: string[];
}

/**
 * The shelf after a plan: what is left of each used reel that is still useful. The longest stretch keeps the reel’s name.
 */
export function bookPlan(plan: CuttingPlan, reels: readonly Reel[]): Booking {
  const booking: Booking = { put: [], remove: [] };
  const planned = plan.cables.flatMap(({ spans }) => spans);
  const taken = new Set(reels.map(({ id }) => id));
  for (const reel of reels) {
    const cut = planned.filter(({ span }) => span.reel?.id === reel.id);
    if (cut.length === 0) continue;
    const left = soundSpans(reel)
      .map((span) => cut.find((one) => one.span.fromM === span.fromM)?.remnantM ?? span.lengthM)
      .filter((lengthM) => lengthM >= plan.usefulM)
      .sort((x, y) => y - x);
    if (left.length === 0) booking.remove.push(reel.id);
    for (const [k, lengthM] of left.entries())
      booking.put.push({
        ...reel,
        id: k === 0 ? reel.id : freeId(`${reel.id}-${k + 1}`, taken),
        name: k === 0 ? reel.name : `${reel.name}, part ${k + 1}`,
        lengthM: Math.floor(lengthM * 1000) / 1000,
        isNew: false,
        damaged: [],
      });
  }
  return booking;
}

function freeId(wish: string, taken: Set<string>): string {
  let id = wish;
  for (let k = 2; taken.has(id); k++) id = `${wish}-${k}`;
  taken.add(id);
  return id;
}
