import type { FactKind } from './fact.js';
import type { OfSweep } from './sweep.js';

/** A sweep is not shown any more: the wrong cable, a loose adapter. That it was taken stays in the log. */
export interface SweepWithdrawn extends OfSweep {
  kind: 'sweep withdrawn';
}

export const sweepWithdrawn: FactKind<SweepWithdrawn> = {
  kind: 'sweep withdrawn',
  about: ({ pieceId }) => pieceId,
  text: ({ name }) => `“${name}”`,
};
