import { formatResistance } from '../../quantity/index.js';
import { aboutEnd, batchText, joined, partNameOf, type AboutEnd } from './endRecord.js';
import type { FactKind } from './fact.js';

/** An end was made and signed off. */
export interface EndMade extends AboutEnd {
  kind: 'end made';
  /** Read on the way, ohm by step of the card; null is over range. */
  readings?: Record<string, number | null>;
}

export const endMade: FactKind<EndMade> = {
  kind: 'end made',
  about: aboutEnd,
  text: (fact, catalog) =>
    joined([
      partNameOf(fact, catalog),
      batchText(fact),
      fact.end?.work === 're-end' ? 'made again by the card' : 'made by the card',
      ...Object.entries(fact.readings ?? {}).map(
        ([step, ohm]) => `${step} ${ohm === null ? 'open' : formatResistance(ohm)}`,
      ),
      fact.end?.checkedBy ? `checked by ${fact.end.checkedBy}` : '',
    ]),
};
