import { aboutEnd, partNameOf, joined, type AboutEnd } from './endRecord.js';
import type { FactKind } from './fact.js';

/** Adhesive shrink and strain relief went over a made end. */
export interface ShrinkFitted extends AboutEnd {
  kind: 'shrink fitted';
}

export const shrinkFitted: FactKind<ShrinkFitted> = {
  kind: 'shrink fitted',
  about: aboutEnd,
  text: (fact, catalog) => joined([partNameOf(fact, catalog), 'adhesive shrink and strain relief']),
};
