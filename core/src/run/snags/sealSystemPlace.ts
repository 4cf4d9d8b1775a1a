import { isExposed } from '../../route/index.js';
import { sealSystem } from '../../seal/index.js';
import { byRubber } from './sealSize.js';
import type { Finding, SnagRule } from './snag.js';

/** A system which is not for the place. Handbook of the trade, 6; common practice, no source. */
export const sealSystemPlace: SnagRule = ({ wraps, layout }) =>
  wraps.flatMap(({ jointId, name, zone, system: id }): Finding[] => {
    if (!id || zone === 'buried' || !isExposed(zone)) return [];
    const system = sealSystem(id);
    if (system.places.includes(zone)) return [];
    return [
      {
        rule: 'seal-place',
        of: jointId,
        level: 'stop',
        stage: 'seal',
        at: jointId,
        distanceM: layout.joints.find((joint) => joint.id === jointId)?.atM ?? 0,
        what: `${name}: ${system.name} is not for ${zone === 'sheltered' ? 'a sheltered place' : zone}`,
        why: `It is for ${system.places.join(', ')}.`,
        remedies: [byRubber(jointId, name, `${system.name} is not for ${zone}`)],
        source: 'common practice, no source',
      },
    ];
  });
