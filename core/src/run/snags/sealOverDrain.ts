import type { MildFinding, MildRule } from './snag.js';

/** Layers which reach over the antenna’s drain hole or vent: what breathes fills with water. Handbook of the trade, 6. */
export const sealOverDrain: MildRule = ({ wraps, layout, design }) =>
  wraps.flatMap(({ jointId, jointIds, name, wrap, profile }): MildFinding[] => {
    const joint = layout.joints.find(({ id }) => jointIds.includes(id) && id.endsWith('>antenna'));
    const { drainMm } = design.antenna;
    if (!joint || !wrap || drainMm === undefined) return [];
    const reachMm = (wrap.toM - profile.reduce((sum, { lengthM }) => sum + lengthM, 0)) * 1000;
    if (reachMm <= drainMm) return [];
    return [
      {
        rule: 'seal-drain',
        of: jointId,
        level: 'caution',
        stage: 'seal',
        at: jointId,
        distanceM: joint.atM,
        what: `${name}: the seal covers the antenna’s drain hole`,
        why: `Its layers reach ${reachMm.toFixed(0)} mm past the connector, the hole begins at ${drainMm} mm: water inside could not run out. Stop every layer below it, or use a shorter boot.`,
        remedies: [],
        source: 'common practice, no source',
      },
    ];
  });
