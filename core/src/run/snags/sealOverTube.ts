import { entry } from '../../catalog/index.js';
import { byRubber } from './sealSize.js';
import type { MildFinding, MildRule } from './snag.js';

/** A sleeve or boot which reaches over an arrester’s tube cap: nobody gets at the tube any more. Handbook of the trade, 6. */
export const sealOverTube: MildRule = ({ wraps, layout, catalog }) =>
  wraps.flatMap(({ jointId, name, wrap, profile, staysOpen }): MildFinding[] => {
    const joint = layout.joints.find(({ id }) => id === jointId);
    if (!joint || !staysOpen || !wrap?.layers.some(({ sleeve }) => sleeve)) return [];
    const jointM = profile.reduce((sum, { lengthM }) => sum + lengthM, 0);
    const beside = [
      { placed: joint.leftPiece, reachM: -wrap.fromM },
      { placed: joint.rightPiece, reachM: wrap.toM - jointM },
    ];
    return beside.flatMap(({ placed, reachM }): MildFinding[] => {
      if (placed?.piece.kind !== 'arrester') return [];
      if (!entry(catalog.arresters, placed.piece.arrester).tubeChangeable) return [];
      // The cap sits in the middle of the body.
      const freeM = (placed.toM - placed.fromM) / 2;
      if (reachM <= freeM) return [];
      return [
        {
          rule: 'seal-over-tube',
          of: jointId,
          level: 'caution',
          stage: 'seal',
          at: jointId,
          distanceM: joint.atM,
          what: `${name}: the sleeve covers the cap of the arrester’s tube`,
          why: `It reaches ${(reachM * 1000).toFixed(0)} mm over the arrester, its cap begins at ${(freeM * 1000).toFixed(0)} mm: the tube cannot be changed.`,
          remedies: [byRubber(jointId, name, 'a sleeve would cover the arrester’s tube')],
          source: 'common practice, no source',
        },
      ];
    });
  });
