import { aboutEnd, batchText, causeText, joined, type AboutEnd } from './endRecord.js';
import type { FactKind } from './fact.js';

/** An end did not come out; what it cost stands in its record. */
export interface EndFailed extends AboutEnd {
  kind: 'end failed';
}

export const endFailed: FactKind<EndFailed> = {
  kind: 'end failed',
  about: aboutEnd,
  text: (fact) => joined([causeText(fact), batchText(fact)]),
};
