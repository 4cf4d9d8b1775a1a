import { zoneAt } from '../../route/index.js';
import type { Finding, SnagRule } from './snag.js';

/** A sealed joint which is thicker than the duct it lies in. */
export const sealTooThick: SnagRule = ({ wraps, layout, route, design }) =>
  wraps.flatMap(({ jointId, name, wrap }): Finding[] => {
    const joint = layout.joints.find(({ id }) => id === jointId);
    const span = joint && route.spans.find(({ fromM, toM }) => joint.atM > fromM && joint.atM < toM);
    const boreMm = span && design.legs[span.leg].boreMm;
    if (!joint || !wrap || boreMm === undefined) return [];
    const thickMm = wrap.finishedDiameter.value * 1000;
    if (thickMm <= boreMm) return [];
    return [
      {
        rule: 'seal-thick',
        of: jointId,
        level: 'stop',
        stage: 'seal',
        at: jointId,
        distanceM: joint.atM,
        what: `${name}, sealed, does not go into its duct`,
        why: `It is ${thickMm.toFixed(0)} mm thick when it is sealed, ${zoneAt(route.spans, joint.atM) === 'buried' ? 'in the ground' : 'there'} the bore is ${boreMm} mm.`,
        remedies: [
          {
            title: 'Move the joint out of the duct',
            detail: 'other lengths, or a box',
            changes: [],
            open: 'route',
          },
        ],
        source: 'geometry of the joint and its layers',
      },
    ];
  });
