import { judgeTorque } from '../../seal/index.js';
import { sealOf } from '../facts/facts.js';
import type { MildFinding, MildRule } from './snag.js';

/** A joint was sealed over a torque which its series does not ask for. */
export const torqueWrong: MildRule = ({ wraps, layout, facts }) =>
  wraps.flatMap(({ jointId, name, torqueRange }): MildFinding[] => {
    const read = sealOf(facts, jointId)?.torqueNm;
    if (read === undefined || !torqueRange) return [];
    const { verdict, why } = judgeTorque(torqueRange, read);
    if (verdict === 'pass') return [];
    return [
      {
        rule: 'torque-wrong',
        of: jointId,
        level: 'caution',
        stage: 'seal',
        at: jointId,
        distanceM: layout.joints.find(({ id }) => id === jointId)?.atM ?? 0,
        what: `${name} was tightened to ${read} N·m`,
        why,
        remedies: [],
        source: 'torque of the series, from memory',
      },
    ];
  });
