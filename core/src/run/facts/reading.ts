import { formatDecibels, formatResistance } from '../../quantity/index.js';
import type { FactKind } from './fact.js';

/** One meter reading of one assembly. */
export interface ReadingTaken {
  kind: 'reading';
  pieceId: string;
  /** Which expectation it answers: `loop`, `insulation`, `loss@452300000`. */
  expectation: string;
  /** In the SI unit of the expectation; over range is null, since JSON has no infinity. */
  value: number | null;
}

/** An over-range reading is stored as null. */
export const readingValue = ({ value }: Pick<ReadingTaken, 'value'>): number => value ?? Infinity;

export const reading: FactKind<ReadingTaken> = {
  kind: 'reading',
  about: ({ pieceId }) => pieceId,
  text: ({ expectation, value }) => {
    const [what] = expectation.split('@');
    if (value === null) return `${what}: over range`;
    return `${what}: ${what === 'loss' ? formatDecibels(value) : formatResistance(value)}`;
  },
};
