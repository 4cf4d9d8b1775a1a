import { formatLength } from '../../quantity/index.js';
import type { FactKind } from './fact.js';

/** A piece was cut from its reel. */
export interface Cut {
  kind: 'cut';
  pieceId: string;
  /** Between the two cut ends, m. */
  lengthM?: number;
  /** Name of the reel it came from. */
  reel?: string;
}

export const cut: FactKind<Cut> = {
  kind: 'cut',
  about: ({ pieceId }) => pieceId,
  text: ({ lengthM, reel }) =>
    [
      ...(lengthM === undefined ? [] : [`to ${formatLength(lengthM, { system: 'metric', digits: 3 })}`]),
      ...(reel === undefined ? [] : [`from ${reel}`]),
    ].join(' '),
};
