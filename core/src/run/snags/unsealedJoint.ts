import { seriesById } from '../../catalog/index.js';
import { isExposed, type Zone } from '../../route/index.js';
import { passesFor } from '../../seal/index.js';
import { isSealed } from '../facts/facts.js';
import type { PlacedJoint } from '../wave/layout.js';
import type { MildFinding, MildRule } from './snag.js';

const places: Record<Exclude<Zone, 'dry'>, string> = {
  sheltered: 'in a sheltered place',
  outdoor: 'outdoors',
  buried: 'in the ground',
  salt: 'in salt air',
  ice: 'where ice forms',
};

/** What has to go on a joint. */
function asks({ zone, left, right }: PlacedJoint): string {
  if (left.series === 'pair' || right.series === 'pair') return 'its split is filled or potted, then taped';
  if (!isExposed(zone) || zone === 'buried') return 'its pit, box or splice is closed as its maker says';
  const passes = passesFor[zone];
  return `${passes} ${passes === 1 ? 'pass' : 'passes'} of rubber and a UV layer go on it`;
}

/** A joint the weather reaches, not yet sealed: a caution when its series has no seal of its own, else a note. */
export const unsealedJoint: MildRule = ({ layout, facts }) =>
  layout.joints
    .filter(({ zone, id }) => isExposed(zone) && !isSealed(facts, id))
    .map((joint): MildFinding => {
      const series = [joint.left, joint.right].map((face) => seriesById[face.series]);
      const weakest =
        series.find(({ weather }) => weather === 'none') ??
        series.find(({ weather }) => weather === 'splash') ??
        series[0];
      const zone = isExposed(joint.zone) ? joint.zone : 'outdoor';
      return {
        rule: 'unsealed',
        of: joint.id,
        level: weakest.weather === 'gasket' ? 'note' : 'caution',
        stage: 'seal',
        at: joint.id,
        distanceM: joint.atM,
        what: `J${joint.number} is ${places[zone]}, not sealed yet`,
        why: `${weakest.name} has ${weakest.weather === 'none' ? 'no seal' : weakest.weather === 'splash' ? 'at best a splash seal' : 'a gasket'}; ${asks(joint)}.`,
        remedies: [
          {
            title: `See how J${joint.number} is sealed`,
            detail: 'layers, marks and order',
            changes: [],
            open: 'seal',
          },
        ],
        source: `${weakest.standard}; sealing by common practice`,
      };
    });
