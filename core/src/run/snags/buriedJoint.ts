import type { Remedy } from '../design/remedy.js';
import type { Housing } from '../design/design.js';
import type { Finding, SnagRule } from './snag.js';

const housings: { kind: Housing['kind']; title: string; detail: string }[] = [
  { kind: 'pit', title: 'in a pit above the water', detail: 'drained, with a lid; marked on the plan' },
  { kind: 'box', title: 'in a box rated for earth', detail: 'glands of the cables’ diameters' },
  { kind: 'splice', title: 'in a resin or gel splice', detail: 'rated for burial; does not open again' },
];

/** A joint in the ground is never taped and buried. Common practice, no source. */
export const buriedJoint: SnagRule = ({ design, layout }) =>
  layout.joints
    .filter(({ zone, id }) => zone === 'buried' && !design.housings?.some(({ joint }) => joint === id))
    .map(({ id, number, atM }): Finding => ({
      rule: 'buried-joint',
      of: id,
      level: 'stop',
      stage: 'seal',
      at: id,
      distanceM: atM,
      what: `J${number} lies in the ground`,
      why: 'Tape under ground lets water in within a season or two, and nobody sees it: no number of passes is enough.',
      remedies: housings.map(({ kind, title, detail }): Remedy => ({
        title: `Put J${number} ${title}`,
        detail,
        changes: [{ op: 'set housing', housing: { joint: id, kind } }],
      })),
      source: 'common practice, no source',
    }));
