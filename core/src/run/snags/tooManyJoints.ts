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
      remedies: firstOf(OFFERED, takenOut(context), reEnded(context)),
      source: 'common practice, no source',
    },
  ];
};

/** So many remedies are offered. */
const OFFERED = 3;

/** The first so many of several lists; what comes after is not worked out. */
function firstOf(count: number, ...lists: Iterable<Remedy>[]): Remedy[] {
  const found: Remedy[] = [];
  for (const list of lists)
    for (const one of list) {
      found.push(one);
      if (found.length === count) return found;
    }
  return found;
}

/** Adapters without which the neighbours mate all the same. */
function* takenOut({ design, layout }: SnagContext): Generator<Remedy> {
  for (const { piece, index, name } of layout.pieces) {
    if (piece.kind !== 'adapter') continue;
    const before = index === 0 ? faceOf(design.radio.face) : layout.pieces[index - 1].faces[1];
    const after =
      index === layout.pieces.length - 1 ? faceOf(design.antenna.face) : layout.pieces[index + 1].faces[0];
    if (mate(before, after).verdict !== 'mates') continue;
    yield {
      title: `Take ${name} out`,
      detail: 'its neighbours mate without it',
      changes: [{ op: 'splice pieces', at: index, remove: 1, insert: [] }],
    };
  }
}

/** A cable beside an adapter ended so that the adapter is not needed. */
function* reEnded({ design, layout, catalog }: SnagContext): Generator<Remedy> {
  for (const { piece, index } of layout.pieces) {
    if (piece.kind !== 'assembly') continue;
    const left = layout.pieces.at(index - 1);
    if (index === 0 || left?.piece.kind !== 'adapter') continue;
    const beyond =
      index === 1 ? faceOf(design.radio.face) : facesOf(layout.pieces[index - 2].piece, catalog)[1];
    const part = partsToMeet(beyond, piece.cable, catalog).at(0);
    if (!part) continue;
    yield {
      title: `Re-end ${piece.label} with ${article(part.name)} and drop the adapter`,
      detail: `${entry(catalog.cables, piece.cable).name} · ${part.minutes} min · one joint less`,
      changes: [
        { op: 'splice pieces', at: index - 1, remove: 2, insert: [{ ...piece, a: { part: part.id } }] },
      ],
    };
  }
}
