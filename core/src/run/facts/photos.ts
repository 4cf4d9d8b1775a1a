import { factsOf } from './facts.js';
import type { Facts } from './kinds.js';

/** A photo as it is shown, of a run or of the ground of its site. */
export interface KeptPhoto {
  pictureId: string;
  about: string;
  sha256: string;
  caption?: string;
  by: string;
  /** ISO 8601. */
  at: string;
}

/** More of one place nobody looks through. */
export const MAX_PHOTOS_OF_PLACE = 12;

/**
 * The photos of a run which are shown, oldest first; those which were withdrawn are left out. Other words under one are an entry of their
 * own: the newest are shown, signed by who took it.
 *
 * @param about an end, a piece, a joint, a task, or empty for the run itself; all of them where it is not given
 */
export function photosOf(facts: Facts, about?: string): KeptPhoto[] {
  const gone = new Set(factsOf(facts, 'photo withdrawn').map(({ pictureId }) => pictureId));
  const shown = new Map<string, KeptPhoto>();
  const taken = factsOf(facts, 'photo').toSorted((x, y) => x.at.localeCompare(y.at));
  for (const one of taken) {
    if (gone.has(one.pictureId) || (about !== undefined && one.about !== about)) continue;
    const first = shown.get(one.pictureId);
    shown.set(one.pictureId, first ? { ...one, by: first.by, at: first.at } : one);
  }
  return [...shown.values()];
}
