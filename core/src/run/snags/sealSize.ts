import { sealSystem } from '../../seal/index.js';
import type { Remedy } from '../design/remedy.js';
import type { MildFinding, MildRule } from './snag.js';

/** A joint for which the chosen system has no size. */
export const sealSize: MildRule = ({ wraps, layout }) =>
  wraps.flatMap(({ jointId, name, system, wrap, profile }): MildFinding[] => {
    if (!system || wrap) return [];
    const widestMm = Math.max(...profile.map(({ diameterM }) => diameterM)) * 1000;
    const lengthMm = profile.reduce((sum, { lengthM }) => sum + lengthM, 0) * 1000;
    return [
      {
        rule: 'seal-size',
        of: jointId,
        level: 'caution',
        stage: 'seal',
        at: jointId,
        distanceM: layout.joints.find((joint) => joint.id === jointId)?.atM ?? 0,
        what: `${name}: no ${sealSystem(system).name} fits`,
        why: `The joint is ${widestMm.toFixed(0)} mm at its widest and ${lengthMm.toFixed(0)} mm long; no size goes over it, holds its thinnest jacket and covers both ends.`,
        remedies: [byRubber(jointId, name, `no ${sealSystem(system).name} fits`)],
        source: 'usual sizes, from memory',
      },
    ];
  });

/** Rubber and vinyl fit everything. */
export const byRubber = (joint: string, name: string, reason: string): Remedy => ({
  title: `Seal ${name} with rubber and vinyl`,
  detail: 'fits every joint and comes off again',
  changes: [{ op: 'set seal', joint, seal: { joint, system: 'rubber and vinyl', reason } }],
});
