import type { UsedPart } from '../../catalog/index.js';
import type { FactKind } from './fact.js';

/** The arrester is joined to the entry’s ground rod. */
export interface Grounded {
  kind: 'grounded';
  /** What left the shelf for it: the arrester. */
  used?: UsedPart[];
}

export const grounded: FactKind<Grounded> = {
  kind: 'grounded',
  about: () => '',
  text: () => 'arrester joined to the entry ground rod',
};
