import { entry, faceOf, type Catalog, type Face, type Part } from '../../catalog/index.js';
import {
  adapterChains,
  mate,
  partsFor,
  type Chain,
  type ChainNeeds,
  type TurnedAdapter,
} from '../../fit/index.js';
import { formatDecibels } from '../../quantity/index.js';
import { isExposed } from '../../route/index.js';
import { freshId } from '../design/change.js';
import type { AdapterPiece, AnyPiece, Assembly, Design } from '../design/design.js';
import { facesOf, type PlacedJoint, type PlacedPiece } from '../wave/layout.js';
import type { Remedy } from '../design/remedy.js';

/** One way to make a joint fit, ranked among the others. */
export interface WayToJoin extends Remedy {
  kind: 'turn' | 'exchange' | 're-end' | 'adapters';
  /** Does it pass at this band, power and place? */
  passes: boolean;
  /** Joints more than now. */
  joints: number;
  /** What it adds to the loss, dB at the top frequency. */
  lossDb: number;
  minutes: number;
  onShelf: boolean;
  against: string[];
}

const mates = (a: Face, b: Face): boolean => mate(a, b).verdict === 'mates';

/** Parts which fit this cable and mate with this face, the usual choice first. */
export function partsToMeet(face: Face, cableId: string, catalog: Catalog, exposed = false): Part[] {
  const parts = [...catalog.parts.values()];
  const meeting = new Set(
    [...new Set(parts.map((part) => part.face))].filter((own) => mates(faceOf(own), face)),
  );
  return partsFor(
    entry(catalog.cables, cableId),
    parts.filter((part) => meeting.has(part.face)),
    exposed,
  );
}

/** What adapters must bear in this run at a joint. */
export const needsOf = (
  { service, antenna }: Pick<Design, 'service' | 'antenna'>,
  catalog: Catalog,
  exposed: boolean,
): ChainNeeds => ({
  topHz: Math.max(...service.bands.map(({ highHz }) => highHz)),
  powerW: service.powerW,
  swr: antenna.swr,
  exposed,
  stock: new Map([...catalog.stock.values()].map(({ id, count }) => [id, count])),
  most: 3,
});

/**
 * Ways to join the two faces of a joint, best first: turn a piece round, exchange an adapter, re-end a cable, add adapters.
 * After each the joint passes signal, and no other joint is made worse.
 */
export function waysToJoin(design: Design, joint: PlacedJoint, catalog: Catalog, most = 5): WayToJoin[] {
  const exposed = isExposed(joint.zone);
  const needs = needsOf(design, catalog, exposed);
  const sides = [
    { placed: joint.leftPiece, end: 'b' as const, other: joint.right },
    { placed: joint.rightPiece, end: 'a' as const, other: joint.left },
  ];
  const turn = sides.flatMap(({ placed }) => (placed ? turnRound(design, placed, catalog) : []));
  const exchange = sides.flatMap(({ placed }) =>
    placed?.piece.kind === 'adapter' ? exchanges(design, placed, catalog, needs) : [],
  );
  const reEnd = sides.flatMap(({ placed, end, other }) =>
    placed?.piece.kind === 'assembly' ? reEnds(placed.piece, end, other, catalog, exposed) : [],
  );
  const add = adapterChains(joint.left, joint.right, catalog.adapters, needs, 4).map((chain) =>
    insertion(design, joint.number - 1, chain),
  );
  const share = Math.max(2, Math.ceil(most / 2));
  return [...turn, ...exchange.slice(0, share), ...reEnd.slice(0, share), ...add]
    .sort((x, y) => Number(y.passes) - Number(x.passes) || x.joints - y.joints)
    .slice(0, most);
}

const neighbourFaces = (design: Design, index: number, catalog: Catalog): [Face, Face] => [
  index === 0 ? faceOf(design.radio.face) : facesOf(design.pieces[index - 1], catalog)[1],
  index === design.pieces.length - 1
    ? faceOf(design.antenna.face)
    : facesOf(design.pieces[index + 1], catalog)[0],
];

/** A piece the other way round. */
export const turned = (piece: AnyPiece): AnyPiece =>
  piece.kind === 'assembly' ? { ...piece, a: piece.b, b: piece.a } : { ...piece, reversed: !piece.reversed };

function turnRound(design: Design, { piece, index, name }: PlacedPiece, catalog: Catalog): WayToJoin[] {
  const [before, after] = neighbourFaces(design, index, catalog);
  const other = turned(piece);
  const [a, b] = facesOf(other, catalog);
  if (!mates(before, a) || !mates(b, after)) return [];
  return [
    {
      kind: 'turn',
      title: `Turn ${name} round`,
      detail: 'no new part, no extra joint',
      changes: [{ op: 'set piece', piece: other }],
      passes: true,
      joints: 0,
      lossDb: 0,
      minutes: 1,
      onShelf: true,
      against: [],
    },
  ];
}

function reEnds(
  piece: Assembly,
  end: 'a' | 'b',
  other: Face,
  catalog: Catalog,
  exposed: boolean,
): WayToJoin[] {
  const seen = new Set<string>();
  // Two parts of one face and style are as good as each other: the first is offered.
  const distinct = partsToMeet(other, piece.cable, catalog, exposed).filter(({ face, style }) => {
    const known = seen.has(`${face} ${style}`);
    seen.add(`${face} ${style}`);
    return !known;
  });
  return distinct.map((part) => ({
    kind: 're-end',
    title: `Re-end ${piece.label} with ${article(part.name)}`,
    detail: `no extra joint · ${part.minutes} min · costs about 60 mm of cable`,
    changes: [{ op: 'set piece', piece: { ...piece, [end]: { part: part.id } } }],
    passes: true,
    joints: 0,
    lossDb: 0,
    minutes: part.minutes,
    onShelf: false,
    against: [],
  }));
}

function exchanges(
  design: Design,
  { piece, index }: PlacedPiece,
  catalog: Catalog,
  needs: ChainNeeds,
): WayToJoin[] {
  const [before, after] = neighbourFaces(design, index, catalog);
  return adapterChains(before, after, catalog.adapters, { ...needs, most: 1 }).map((chain) => {
    const [own] = chain.adapters;
    return {
      kind: 'exchange',
      title: `Take ${article(own.adapter.name)} adapter instead`,
      detail: `no extra joint · ${chain.onShelf > 0 ? 'on the shelf' : 'buy or find one'}${doubts(chain)}`,
      changes: [{ op: 'set piece', piece: adapterPiece(piece.id, own) }],
      passes: chain.passes,
      joints: 0,
      lossDb: chain.lossDb,
      minutes: 2,
      onShelf: chain.onShelf > 0,
      against: chain.against,
    };
  });
}

const doubts = ({ against }: Chain): string => (against.length > 0 ? ` · ${against[0]}` : '');

/** Adapters put between two pieces. */
function insertion(design: Design, at: number, chain: Chain): WayToJoin {
  const insert: AnyPiece[] = [];
  for (const one of chain.adapters)
    insert.push(adapterPiece(freshId([...design.pieces, ...insert], 'adapter'), one));
  return {
    kind: 'adapters',
    title: `Put in ${chain.adapters.map(({ adapter }) => article(adapter.name)).join(', then ')}`,
    detail: `+${chain.joints} ${chain.joints === 1 ? 'joint' : 'joints'} · ${formatDecibels(chain.lossDb)} · ${chain.onShelf === chain.joints ? 'on the shelf' : 'buy or find'}${doubts(chain)}`,
    changes: [{ op: 'splice pieces', at, remove: 0, insert }],
    passes: chain.passes,
    joints: chain.joints,
    lossDb: chain.lossDb,
    minutes: 2 * chain.joints,
    onShelf: chain.onShelf === chain.joints,
    against: chain.against,
  };
}

export const adapterPiece = (id: string, { adapter, reversed: isReversed }: TurnedAdapter): AdapterPiece => ({
  kind: 'adapter',
  id,
  adapter: adapter.id,
  reversed: isReversed,
});

/** `an N plug`, `an RP-SMA plug`, `a BNC plug`: by how the name is spoken. */
export const article = (name: string): string =>
  `${/^(N|F|FME|SMA|RP|RCA)\b/.test(name) ? 'an' : 'a'} ${name}`;

/** Chains from a port to what a cable can be ended with, where no part of the cable meets the port itself. */
export function chainToCable(
  port: Face,
  parts: readonly Part[],
  catalog: Catalog,
  needs: ChainNeeds,
): { part: Part; chain: Chain } | undefined {
  const firsts = new Map<string, Part>();
  for (const part of parts) if (!firsts.has(part.face)) firsts.set(part.face, part);
  const found = [...firsts.values()].flatMap((part) =>
    adapterChains(port, faceOf(part.face), catalog.adapters, needs, 1).map((chain) => ({ part, chain })),
  );
  return found.sort(
    (x, y) =>
      Number(y.chain.passes) - Number(x.chain.passes) ||
      x.chain.joints - y.chain.joints ||
      x.chain.against.length - y.chain.against.length ||
      x.chain.lossDb - y.chain.lossDb,
  )[0];
}
