import { seriesById } from '../../catalog/index.js';
import { isExposed } from '../../route/index.js';
import { passesFor } from '../../seal/index.js';
import { factAbout } from '../facts/facts.js';
import type { Finding, SnagRule } from './snag.js';

/** A joint the weather reaches, not yet wrapped: a caution when its series has no seal of its own, else a note. */
export const unsealedJoint: SnagRule = ({ layout, facts }) =>
  layout.joints
    .filter(({ zone, id }) => isExposed(zone) && factAbout(facts, 'sealed', id) === undefined)
    .map((joint): Finding => {
      const series = [joint.left, joint.right].map((face) => seriesById[face.series]);
      const weakest =
        series.find(({ weather }) => weather === 'none') ??
        series.find(({ weather }) => weather === 'splash') ??
        series[0];
      const zone = isExposed(joint.zone) ? joint.zone : 'outdoor';
      const passes = passesFor[zone];
      return {
        rule: 'unsealed',
        of: joint.id,
        level: weakest.weather === 'gasket' ? 'note' : 'caution',
        stage: 'seal',
        at: joint.id,
        distanceM: joint.atM,
        what: `J${joint.number} stands in ${zone === 'sheltered' ? 'a sheltered place' : zone === 'buried' ? 'the ground' : `the ${zone === 'outdoor' ? 'open' : zone}`}, not wrapped yet`,
        why: `${weakest.name} has ${weakest.weather === 'none' ? 'no seal' : weakest.weather === 'splash' ? 'at best a splash seal' : 'a gasket'}; ${passes} ${passes === 1 ? 'pass' : 'passes'} of rubber and a sun layer go on it.`,
        remedies: [
          {
            title: `See the wrap of J${joint.number}`,
            detail: 'tape, marks and order',
            changes: [],
            open: 'seal',
          },
        ],
        source: `${weakest.standard}; wrap by common practice`,
      };
    });
