import { listed } from '../../make/index.js';
import { endId } from '../design/ids.js';
import { factsOf, newest } from '../facts/facts.js';
import type { MildFinding, MildRule } from './snag.js';

/**
 * A joint was opened and was wet or corroded inside, and an end of it was not made again since: water stays under the jacket, and a seal over it
 * keeps it in. Handbook of the trade, 6.
 */
export const waterFound: MildRule = ({ wraps, layout, facts }) =>
  wraps.flatMap(({ jointId, jointIds, name }): MildFinding[] => {
    const opened = newest(
      factsOf(facts, 'opened').filter((one) => one.jointId === jointId && one.found !== undefined),
    );
    if (!opened || (opened.found !== 'water' && opened.found !== 'corroded')) return [];
    const joints = layout.joints.filter(({ id }) => jointIds.includes(id));
    const ends = joints.flatMap(({ leftPiece, rightPiece }) => [
      ...(leftPiece?.piece.kind === 'assembly'
        ? [{ id: endId(leftPiece.piece.id, 'b'), of: leftPiece.name }]
        : []),
      ...(rightPiece?.piece.kind === 'assembly'
        ? [{ id: endId(rightPiece.piece.id, 'a'), of: rightPiece.name }]
        : []),
    ]);
    const old = ends.filter(
      ({ id }) => !factsOf(facts, 'end made').some((made) => made.endId === id && made.at > opened.at),
    );
    if (old.length === 0) return [];
    return [
      {
        rule: 'water-found',
        of: jointId,
        level: 'caution',
        stage: 'seal',
        at: jointId,
        distanceM: joints.at(0)?.atM ?? 0,
        what: `${name} was ${opened.found === 'water' ? 'wet' : 'corroded'} inside when it was opened`,
        why: `Water creeps under the jacket by the braid, and a new seal keeps it in: ${listed(old.map(({ of }) => of))} ${old.length === 1 ? 'wants its end' : 'want their ends'} made again behind the wet part.`,
        remedies: [
          { title: 'Make it again', detail: 'cut back to dry, bright braid', changes: [], open: 'make' },
        ],
        source: 'common practice, no source',
      },
    ];
  });
