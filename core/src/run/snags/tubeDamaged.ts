import { tubeHistory } from '../facts/tubeHistory.js';
import type { SnagRule } from './snag.js';

/** A tube which was found damaged and is still there: it may have melted to a short, and protects nothing. */
export const tubeDamaged: SnagRule = ({ facts, layout }) =>
  layout.pieces.flatMap(({ piece, fromM, name }) => {
    if (piece.kind !== 'arrester') return [];
    const { damaged, last } = tubeHistory(facts, piece.id);
    if (!damaged || !last) return [];
    return [
      {
        rule: 'tube-damaged',
        of: piece.id,
        level: 'stop',
        stage: 'ground',
        at: piece.id,
        distanceM: fromM,
        what: `The tube of ${name} is damaged`,
        why: `Found ${last.reason}, on ${last.at.slice(0, 10)}${last.by ? ` by ${last.by}` : ''}. Fit a new ${piece.tubeV} V tube and gasket; until then the run has no protection.`,
        remedies: [],
        source: 'common practice, no source',
      },
    ];
  });
