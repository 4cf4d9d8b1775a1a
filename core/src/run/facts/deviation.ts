import { aboutEnd, causeText, type AboutEnd } from './endRecord.js';
import type { FactKind } from './fact.js';

/** Something was done differently from the card. */
export interface Deviation extends AboutEnd {
  kind: 'deviation';
}

export const deviation: FactKind<Deviation> = { kind: 'deviation', about: aboutEnd, text: causeText };
