import type { rememberingCascade } from '../line/index.js';
import type { Practice } from '../practice/index.js';
import type { Facts } from './facts/kinds.js';

/** What stands beside a design: what was read and done, and how this shop works. Neither is ever forgotten. */
export interface RunState {
  facts: Facts;
  practice: Practice;
  /** Frequencies of the sweep, default 201. */
  sweepPoints?: number;
  /** How its elements are multiplied, default each time from the first: one that remembers does less after a change of one piece. */
  cascade?: ReturnType<typeof rememberingCascade>;
}
