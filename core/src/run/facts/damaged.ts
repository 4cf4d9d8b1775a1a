import { formatLength } from '../../quantity/index.js';
import { aboutEnd, causeText, joined, type AboutEnd } from './endRecord.js';
import type { FactKind } from './fact.js';

/** A made end was damaged and is cut off; the cable it costs stands in its record. */
export interface Damaged extends AboutEnd {
  kind: 'damaged';
}

export const damaged: FactKind<Damaged> = {
  kind: 'damaged',
  about: aboutEnd,
  text: (fact) =>
    joined(
      [
        causeText(fact),
        fact.end?.lostM === undefined
          ? ''
          : `${formatLength(fact.end.lostM, { system: 'metric', digits: 3 })} of finished length cut off`,
      ],
      ': ',
    ),
};
