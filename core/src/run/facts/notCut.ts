import type { FactKind } from './fact.js';

/** A cut that was booked is taken back. */
export interface NotCut {
  kind: 'not cut';
  pieceId: string;
}

export const notCut: FactKind<NotCut> = {
  kind: 'not cut',
  about: ({ pieceId }) => pieceId,
  text: () => 'the booking was taken back',
};
