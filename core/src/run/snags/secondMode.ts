import { entry } from '../../catalog/index.js';
import { cableCutoffHz } from '../../line/index.js';
import { formatFrequency } from '../../quantity/index.js';
import { betterCables } from '../edit/betterCables.js';
import type { Finding, SnagRule } from './snag.js';

/** Above its cut-off a cable carries a second mode: loss, phase and match are anything, whatever its sheet says below. */
export const secondMode: SnagRule = ({ layout, catalog, topHz }) =>
  layout.pieces.flatMap(({ piece, fromM }): Finding[] => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    const cutoffHz = cableCutoffHz(cable);
    if (topHz < cutoffHz) return [];
    return [
      {
        rule: 'second-mode',
        of: piece.id,
        level: 'stop',
        stage: 'plan',
        at: piece.id,
        distanceM: fromM,
        what: `${cable.name} is too thick for ${formatFrequency(topHz)}`,
        why: `From ${formatFrequency(cutoffHz)} it carries a second mode (TE11), and its figures hold no more.`,
        remedies: betterCables(piece, catalog, topHz, () => true),
        source: 'TE11 cut-off 2c/(π(D + d)√εr): Pozar, Microwave Engineering; within 8 %',
      },
    ];
  });
