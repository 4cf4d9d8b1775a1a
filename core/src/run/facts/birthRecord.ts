import type { FactKind } from './fact.js';
import type { OfSweep } from './sweep.js';

/** A sweep was made the one with which later ones are compared. */
export interface BirthRecord extends OfSweep {
  kind: 'birth record';
}

export const birthRecord: FactKind<BirthRecord> = {
  kind: 'birth record',
  about: ({ pieceId }) => pieceId,
  text: ({ name }) => `“${name}”`,
};
