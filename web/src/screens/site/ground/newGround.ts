import {
  freshId,
  usualBond,
  type Bond,
  type GroundNode,
  type GroundNodeKind,
  type GroundSheet,
  type NodeSheet,
  type Site,
  type SiteChange,
} from '@kobran/core';

/** A usual rod: 1.5 m of 5/8 in, driven to its top. Common practice, no source. */
const usualRod = { lengthM: 1.5, diameterMm: 15.9, depthM: 0.2 };

/** Electrodes whose resistance follows from their size. */
const hasSize: readonly GroundNodeKind[] = ['rod', 'buried wire', 'ring', 'plate'];

/** What belongs to a kind and to no other. */
export function ofKind(node: GroundNode, kind: GroundNodeKind, run: string | undefined): GroundNode {
  const { electrode, kit, protector, ...own } = node;
  // A name which nobody has given says what it is now.
  const rest = { ...own, name: own.name.replace(new RegExp(`^${node.kind} (?=\\d+$)`), `${kind} `) };
  if (kind === 'ground kit')
    return run === undefined ? node : { ...rest, kind, kit: kit ?? { run, fromMm: 9, toMm: 12 } };
  return {
    ...rest,
    kind,
    ...(hasSize.includes(kind) ? { electrode: electrode ?? usualRod } : {}),
    ...(kind === 'other line' ? { protector: protector ?? '' } : {}),
  };
}

export const newNode = ({ ground: { nodes } }: Site): GroundNode => ({
  id: freshId(nodes, 'part'),
  name: `metalwork ${nodes.length + 1}`,
  kind: 'metalwork',
  metal: 'copper',
});

/** A conductor from the chosen part to the first bar or electrode which it is not tied to yet. */
export function newBond(
  { ground }: Site,
  { nodes, bonds, profile }: GroundSheet,
  chosen: NodeSheet | undefined,
): Bond | undefined {
  const from = chosen ?? nodes.find(({ tied }) => !tied) ?? nodes[0];
  const isBeside = (id: string): boolean =>
    bonds.some(({ bond }) => [bond.from, bond.to].includes(from.id) && [bond.from, bond.to].includes(id));
  const others = nodes.filter(({ id }) => id !== from.id && !isBeside(id));
  const to = others.find(({ kind }) => kind === 'entry bar' || kind === 'main bar') ?? others.at(0);
  return to && usualBond(ground, profile, from, to);
}

/** A way of a boat: then nothing is driven, and no building has an electrode. */
export const isAfloat = ({ ways }: Site): boolean => ways.some(({ kind }) => kind === 'boat deck or mast');

/** On land: a bar where the cables come in, a rod below it and the building’s electrode, both on the bar; the mast for itself. */
function ashore({ points }: Site): Beginning {
  const entry = points.find(({ kind }) => kind === 'entry');
  const foot = points.find(({ kind }) => kind === 'mast foot');
  const at = entry ? { point: entry.id } : {};
  return {
    bar: { id: 'entry-bar', name: 'Entry bar', kind: 'entry bar', metal: 'copper', ...at },
    tied: [
      { id: 'entry-rod', name: 'Entry rod', kind: 'rod', metal: 'copper', electrode: usualRod },
      { id: 'building', name: 'Building electrode', kind: 'building electrode', metal: 'copper' },
    ],
    alone: foot ? [{ id: 'mast', name: foot.name, kind: 'mast', metal: 'zinc', point: foot.id }] : [],
  };
}

/** On a boat: a bus below the mast with keel or plate in the water, mast and rig on it. Common practice, no source. */
const afloat: Beginning = {
  bar: { id: 'bus', name: 'Ground bus below the mast', kind: 'main bar', metal: 'copper' },
  tied: [
    { id: 'sea', name: 'Keel or plate in the sea', kind: 'plate', metal: 'copper' },
    { id: 'mast', name: 'Mast', kind: 'mast', metal: 'aluminium' },
    { id: 'rig', name: 'Stays and shrouds', kind: 'metalwork', metal: 'stainless steel' },
  ],
  alone: [],
};

interface Beginning {
  bar: GroundNode;
  /** Each on the bar. */
  tied: GroundNode[];
  alone: GroundNode[];
}

/** The usual beginning of a ground: its bar with what is tied to it, and the arresters on the bar. */
export function usualStart(site: Site, { nodes, profile }: GroundSheet): SiteChange[] {
  const { bar, tied, alone } = isAfloat(site) ? afloat : ashore(site);
  const part = (node: GroundNode): Parameters<typeof usualBond>[2] => ({ ...node, node, place: undefined });
  const bonds = [
    ...tied.map((one) => ({ from: part(bar), to: part(one) })),
    ...nodes.filter(({ kind }) => kind === 'arrester').map((arrester) => ({ from: arrester, to: part(bar) })),
  ].reduce<Bond[]>((made, { from, to }) => [...made, usualBond({ bonds: made }, profile, from, to)], []);
  return [
    ...[bar, ...tied, ...alone].map((node): SiteChange => ({ op: 'put node', node })),
    ...bonds.map((bond): SiteChange => ({ op: 'put bond', bond })),
  ];
}
