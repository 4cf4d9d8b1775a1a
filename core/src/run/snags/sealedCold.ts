import { sealSystem } from '../../seal/index.js';
import { sealOf } from '../facts/facts.js';
import type { MildFinding, MildRule } from './snag.js';

/** A joint sealed in air colder than its materials allow: they do not stick, and come loose with the first warm day. */
export const sealedCold: MildRule = ({ wraps, layout, facts }) =>
  wraps.flatMap(({ jointId, name, wrap }): MildFinding[] => {
    const sealed = sealOf(facts, jointId);
    if (!wrap || sealed?.celsius === undefined || sealed.celsius >= wrap.lowestC) return [];
    return [
      {
        rule: 'sealed-cold',
        of: jointId,
        level: 'caution',
        stage: 'seal',
        at: jointId,
        distanceM: layout.joints.find((joint) => joint.id === jointId)?.atM ?? 0,
        what: `${name} was sealed at ${sealed.celsius} °C`,
        why: `${sealSystem(sealed.system ?? 'rubber and vinyl').name} goes on from ${wrap.lowestC} °C; colder it does not fuse or stick. Look at it on the first warm day.`,
        remedies: [],
        source: 'typical, from memory',
      },
    ];
  });
