import { entry, faceOf, type Catalog } from '../../catalog/index.js';
import { fitCable } from '../../fit/index.js';
import { partFor } from './betterCables.js';
import { freshId, type Change } from '../design/change.js';
import type { AnyPiece, Assembly, Design } from '../design/design.js';
import { facesOf } from '../wave/layout.js';
import { partsToMeet } from './waysToJoin.js';

/** What can be put into a run at a joint. */
export type Insertable =
  | { kind: 'assembly'; cable: string }
  | { kind: 'adapter'; adapter: string }
  | { kind: 'arrester'; arrester: string };

/**
 * Puts a new piece in at a joint; a cable gets ends which meet its neighbours where such parts exist.
 *
 * @param at index of the joint, 0 at the radio
 */
export function insertPiece(design: Design, at: number, what: Insertable, catalog: Catalog): Change {
  return { op: 'splice pieces', at, remove: 0, insert: [made(design, at, what, catalog)] };
}

function made(design: Design, at: number, what: Insertable, catalog: Catalog): AnyPiece {
  switch (what.kind) {
    case 'assembly':
      return newAssembly(design, at, what.cable, catalog);
    case 'adapter': {
      const before = at === 0 ? faceOf(design.radio.face) : facesOf(design.pieces[at - 1], catalog)[1];
      const [first] = entry(catalog.adapters, what.adapter).faces.map(faceOf);
      const turn = first.series !== before.series || first.body === before.body;
      return {
        kind: 'adapter',
        id: freshId(design.pieces, 'adapter'),
        adapter: what.adapter,
        reversed: turn,
      };
    }
    case 'arrester':
      return {
        kind: 'arrester',
        id: freshId(design.pieces, 'arrester'),
        arrester: what.arrester,
        reversed: true,
        tubeV: 230,
      };
  }
}

function newAssembly(design: Design, at: number, cableId: string, catalog: Catalog): Assembly {
  const cable = entry(catalog.cables, cableId);
  const left = at === 0 ? faceOf(design.radio.face) : facesOf(design.pieces[at - 1], catalog)[1];
  const right =
    at === design.pieces.length ? faceOf(design.antenna.face) : facesOf(design.pieces[at], catalog)[0];
  const any =
    [...catalog.parts.values()].find((part) => fitCable(part, cable).verdict === 'fits') ??
    [...catalog.parts.values()][0];
  const meeting = (face: typeof left): string =>
    partsToMeet(face, cableId, catalog).at(0)?.id ?? partFor('n-plug', cable, catalog) ?? any.id;
  const count = design.pieces.filter(({ kind }) => kind === 'assembly').length + 1;
  return {
    kind: 'assembly',
    id: freshId(design.pieces, 'cable'),
    label: `Cable ${count}`,
    cable: cableId,
    lengthM: 1,
    a: { part: meeting(left) },
    b: { part: meeting(right) },
  };
}
