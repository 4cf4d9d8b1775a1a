import type { Finding, SnagRule } from './snag.js';
import { waysToJoin } from '../edit/waysToJoin.js';
import { faceName } from '../../catalog/index.js';

/** Joints which do not mate, or mate with a caution. Source: the series' interface standards. */
export const mating: SnagRule = ({ design, catalog, layout }) =>
  layout.joints
    .filter(({ mating: { verdict } }) => verdict !== 'mates')
    .map((joint): Finding => ({
      rule: 'mating',
      of: joint.id,
      level: joint.mating.passes ? 'caution' : 'stop',
      stage: 'plan',
      at: joint.id,
      distanceM: joint.atM,
      what: `${faceName(joint.left)} on ${faceName(joint.right)}: ${joint.mating.verdict}`,
      why: joint.mating.reason,
      remedies: waysToJoin(design, joint, catalog),
      source: joint.mating.source,
    }));
