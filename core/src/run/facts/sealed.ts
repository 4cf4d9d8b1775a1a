import type { UsedPart } from '../../catalog/index.js';
import { closure, sealSystem, type ClosureId, type SealSystemId } from '../../seal/index.js';
import type { FactKind } from './fact.js';

/** A joint is weatherproofed. */
export interface Sealed {
  kind: 'sealed';
  jointId: string;
  /** How it was sealed; not stated, with rubber and vinyl. */
  system?: SealSystemId;
  /** What closed it where no layer did. */
  closure?: ClosureId;
  /** Passes of rubber that went on. */
  passes?: number;
  /** What the torque spanner read, N·m. */
  torqueNm?: number;
  /** There was no torque spanner, and no photo was taken: said, since silence would pass for done. */
  noSpanner?: true;
  noPhoto?: true;
  /** The air while it was sealed, °C. */
  celsius?: number;
  /** It was sealed before it was proved, and why. */
  unproved?: string;
  /** Other joints under the same wrap. */
  with?: string[];
  /** What left the shelf for it. */
  used?: UsedPart[];
}

export const sealed: FactKind<Sealed> = {
  kind: 'sealed',
  about: ({ jointId }) => jointId,
  text: ({
    system = 'rubber and vinyl',
    closure: by,
    passes,
    torqueNm,
    celsius,
    unproved,
    noSpanner,
    noPhoto,
  }) =>
    [
      by ? closure(by).name : system === 'rubber and vinyl' ? '' : sealSystem(system).name,
      passes === undefined ? '' : `${passes} ${passes === 1 ? 'pass' : 'passes'} of rubber and a UV layer`,
      torqueNm === undefined ? (noSpanner ? 'torque not read: no spanner' : '') : `${torqueNm} N·m`,
      celsius === undefined ? '' : `at ${celsius} °C`,
      unproved === undefined ? '' : `not proved before: ${unproved}`,
      noPhoto ? 'no photo' : '',
    ]
      .filter(Boolean)
      .join(', '),
};
