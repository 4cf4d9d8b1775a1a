import { isSealed } from '../facts/facts.js';
import type { MildFinding, MildRule } from './snag.js';

/** A joint sealed before what it joins is proved: a fault found later takes the seal off again. Handbook of the trade, 6. */
export const sealedUnproved: MildRule = ({ wraps, layout, facts }) =>
  wraps.flatMap(({ jointId, name, unproved }): MildFinding[] =>
    unproved.length === 0 || !isSealed(facts, jointId)
      ? []
      : [
          {
            rule: 'sealed-unproved',
            of: jointId,
            level: 'caution',
            stage: 'prove',
            at: jointId,
            distanceM: layout.joints.find((joint) => joint.id === jointId)?.atM ?? 0,
            what: `${name} is sealed, and ${unproved.join(' and ')} is not proved`,
            why: `${unproved.length} of its cables ${unproved.length === 1 ? 'has' : 'have'} readings to take: a fault found now opens the seal again.`,
            remedies: [{ title: `Prove ${unproved[0]}`, detail: 'its readings', changes: [], open: 'prove' }],
            source: 'common practice, no source',
          },
        ],
  );
