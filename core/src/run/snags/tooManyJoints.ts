import { entry, faceOf } from '../../catalog/index.js';
import { mate } from '../../fit/index.js';
import { facesOf } from '../wave/layout.js';
import type { Remedy } from '../design/remedy.js';
import type { SnagContext, MildRule } from './snag.js';
import { article, partsToMeet } from '../edit/waysToJoin.js';

/** Adapters in a run which a careful installer still accepts. Common practice, no source. */
const MAX_ADAPTERS = 3;

/** Each joint is a place for water, movement and a bad day: more adapters than needed. */
export const tooManyJoints: MildRule = (context) => {
  const { layout } = context;
  const adapters = layout.pieces.filter(({ piece }) => piece.kind === 'adapter');
  if (adapters.length <= MAX_ADAPTERS) return [];
  return [
    {
      rule: 'too-many-joints',
      of: 'run',
      level: 'caution',
      stage: 'plan',
      at: adapters[0].piece.id,
      distanceM: adapters[0].fromM,
      what: `${adapters.length} adapters in one run`,
      why: `${layout.joints.length} joints, ${adapters.length} of adapters; ${MAX_ADAPTERS} adapters are what a run should need.`,
      remedies: [...takenOut(context), ...reEnded(context)].slice(0, 3),
      source: 'common practice, no source',
    },
  ];
};

/** Adapters without which the neighbours mate all the same. */
function takenOut({ design, layout }: SnagContext): Remedy[] {
  return layout.pieces.flatMap(({ piece, index, name }): Remedy[] => {
    if (piece.kind !== 'adapter') return [];
    const before = index === 0 ? faceOf(design.radio.face) : layout.pieces[index - 1].faces[1];
    const after =
      index === layout.pieces.length - 1 ? faceOf(design.antenna.face) : layout.pieces[index + 1].faces[0];
    if (mate(before, after).verdict !== 'mates') return [];
    return [
      {
        title: `Take ${name} out`,
        detail: 'its neighbours mate without it',
        changes: [{ op: 'splice pieces', at: index, remove: 1, insert: [] }],
      },
    ];
  });
}

/** A cable beside an adapter ended so that the adapter is not needed. */
function reEnded({ design, layout, catalog }: SnagContext): Remedy[] {
  return layout.pieces.flatMap(({ piece, index }): Remedy[] => {
    if (piece.kind !== 'assembly') return [];
    const left = layout.pieces.at(index - 1);
    if (index === 0 || left?.piece.kind !== 'adapter') return [];
    const beyond =
      index === 1 ? faceOf(design.radio.face) : facesOf(layout.pieces[index - 2].piece, catalog)[1];
    const part = partsToMeet(beyond, piece.cable, catalog).at(0);
    if (!part) return [];
    return [
      {
        title: `Re-end ${piece.label} with ${article(part.name)} and drop the adapter`,
        detail: `${entry(catalog.cables, piece.cable).name} · ${part.minutes} min · one joint less`,
        changes: [
          { op: 'splice pieces', at: index - 1, remove: 2, insert: [{ ...piece, a: { part: part.id } }] },
        ],
      },
    ];
  });
}
