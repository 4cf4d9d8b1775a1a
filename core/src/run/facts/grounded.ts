import type { FactKind } from './fact.js';

/** The arrester is joined to the entry’s ground rod. */
export interface Grounded {
  kind: 'grounded';
}

export const grounded: FactKind<Grounded> = {
  kind: 'grounded',
  about: () => '',
  text: () => 'arrester joined to the entry ground rod',
};
