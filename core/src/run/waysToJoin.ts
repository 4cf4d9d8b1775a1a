import { entry, faceOf, seriesById, type Catalog, type Face, type Part } from '../catalog/index.js';
import { adapterChains, fitCable, mate, type TurnedAdapter } from '../fit/index.js';
import { freshId } from './change.js';
import type { AdapterPiece, AnyPiece, Assembly, Design } from './design.js';
import { facesOf, type PlacedJoint, type PlacedPiece } from './layout.js';
import type { Remedy } from './snag.js';

const mates = (a: Face, b: Face): boolean => mate(a, b).verdict === 'mates';

/** Parts which fit this cable and mate with this face, quickest first. */
export function partsToMeet(face: Face, cableId: string, catalog: Catalog): Part[] {
  const cable = entry(catalog.cables, cableId);
  return [...catalog.parts.values()]
    .filter((part) => mates(faceOf(part.face), face) && fitCable(part, cable).verdict === 'fits')
    .sort((x, y) => x.minutes - y.minutes);
}

/**
 * Ways to join the two faces of a joint, best first: turn a piece round, re-end a cable, exchange an adapter, add adapters.
 * After each the joint mates, and no other joint is made worse.
 */
export function waysToJoin(design: Design, joint: PlacedJoint, catalog: Catalog): Remedy[] {
  const sides = [
    { placed: joint.leftPiece, end: 'b' as const, other: joint.right },
    { placed: joint.rightPiece, end: 'a' as const, other: joint.left },
  ];
  const turn = sides.flatMap(({ placed }) => (placed ? turnRound(design, placed, catalog) : []));
  const reEnd = sides.flatMap(({ placed, end, other }) =>
    placed?.piece.kind === 'assembly' ? reEnds(placed.piece, end, other, catalog) : [],
  );
  const exchange = sides.flatMap(({ placed }) =>
    placed?.piece.kind === 'adapter' ? exchanges(design, placed, catalog) : [],
  );
  const add = adapterChains(joint.left, joint.right, catalog.adapters.values())
    .slice(0, 2)
    .map((chain) => insertion(design, joint.number - 1, chain));
  return [...turn, ...exchange.slice(0, 2), ...reEnd.slice(0, 3), ...add].slice(0, 5);
}

const neighbourFaces = (design: Design, index: number, catalog: Catalog): [Face, Face] => [
  index === 0 ? faceOf(design.radio.face) : facesOf(design.pieces[index - 1], catalog)[1],
  index === design.pieces.length - 1
    ? faceOf(design.antenna.face)
    : facesOf(design.pieces[index + 1], catalog)[0],
];

const reversed = (piece: AnyPiece): AnyPiece =>
  piece.kind === 'assembly' ? { ...piece, a: piece.b, b: piece.a } : { ...piece, reversed: !piece.reversed };

function turnRound(design: Design, { piece, index, name }: PlacedPiece, catalog: Catalog): Remedy[] {
  const [before, after] = neighbourFaces(design, index, catalog);
  const [a, b] = facesOf(reversed(piece), catalog);
  if (!mates(before, a) || !mates(b, after)) return [];
  return [
    {
      title: `Turn ${name} round`,
      detail: 'no new part, no extra joint',
      changes: [{ op: 'set piece', piece: reversed(piece) }],
    },
  ];
}

function reEnds(piece: Assembly, end: 'a' | 'b', other: Face, catalog: Catalog): Remedy[] {
  return partsToMeet(other, piece.cable, catalog).map((part) => ({
    title: `Re-end ${piece.label} with ${article(part.name)}`,
    detail: `no extra joint · ${part.minutes} min`,
    changes: [{ op: 'set piece', piece: { ...piece, [end]: { part: part.id } } }],
  }));
}

function exchanges(design: Design, { piece, index }: PlacedPiece, catalog: Catalog): Remedy[] {
  const [before, after] = neighbourFaces(design, index, catalog);
  return adapterChains(before, after, catalog.adapters.values(), 1).map(([turned]) => ({
    title: `Take ${article(turned.adapter.name)} adapter instead`,
    detail: 'no extra joint · buy or find one',
    changes: [{ op: 'set piece', piece: adapterPiece(piece.id, turned) }],
  }));
}

/** Adapters put between two pieces. */
export function insertion(design: Design, at: number, chain: TurnedAdapter[]): Remedy {
  const insert: AnyPiece[] = [];
  for (const turned of chain)
    insert.push(adapterPiece(freshId([...design.pieces, ...insert], 'adapter'), turned));
  const top = Math.max(
    ...chain.map(({ adapter }) => seriesById[faceOf(adapter.faces[0]).series].contactDbPerSqrtGhz),
  );
  return {
    title: `Put in ${chain.map(({ adapter }) => article(adapter.name)).join(', then ')}`,
    detail: `+${chain.length} ${chain.length === 1 ? 'joint' : 'joints'} · about +${(top * 0.7 * chain.length).toFixed(2)} dB at 500 MHz · buy or find one`,
    changes: [{ op: 'splice pieces', at, remove: 0, insert }],
  };
}

export const adapterPiece = (id: string, { adapter, reversed: isReversed }: TurnedAdapter): AdapterPiece => ({
  kind: 'adapter',
  id,
  adapter: adapter.id,
  reversed: isReversed,
});

/** `an N plug`, `a BNC plug`: by how the name is spoken. */
export const article = (name: string): string => `${/^(N|F|SMA|RP)\b/.test(name) ? 'an' : 'a'} ${name}`;
