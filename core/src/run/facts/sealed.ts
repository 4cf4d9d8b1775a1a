import type { FactKind } from './fact.js';

/** A joint is weatherproofed. */
export interface Sealed {
  kind: 'sealed';
  jointId: string;
  /** Passes of rubber that went on. */
  passes?: number;
  /** Other joints under the same wrap. */
  with?: string[];
}

export const sealed: FactKind<Sealed> = {
  kind: 'sealed',
  about: ({ jointId }) => jointId,
  text: ({ passes }) =>
    passes === undefined ? '' : `${passes} ${passes === 1 ? 'pass' : 'passes'} of rubber and a UV layer`,
};
