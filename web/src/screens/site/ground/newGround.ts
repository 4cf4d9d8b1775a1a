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

/** The usual beginning: a bar where the cables come in, a rod below it and the building’s electrode, tied together; the arresters on the bar. */
export function usualStart(site: Site, { nodes, profile }: GroundSheet): SiteChange[] {
  const entry = site.points.find(({ kind }) => kind === 'entry');
  const at = entry ? { point: entry.id } : {};
  const bar: GroundNode = { id: 'entry-bar', name: 'Entry bar', kind: 'entry bar', metal: 'copper', ...at };
  const rod: GroundNode = {
    id: 'entry-rod',
    name: 'Entry rod',
    kind: 'rod',
    metal: 'copper',
    electrode: usualRod,
  };
  const building: GroundNode = {
    id: 'building',
    name: 'Building electrode',
    kind: 'building electrode',
    metal: 'copper',
  };
  const mastFoot = site.points.find(({ kind }) => kind === 'mast foot');
  const mast: GroundNode[] = mastFoot
    ? [{ id: 'mast', name: mastFoot.name, kind: 'mast', metal: 'zinc', point: mastFoot.id }]
    : [];
  const part = (node: GroundNode): Parameters<typeof usualBond>[2] => ({ ...node, node, place: undefined });
  const bonds = [
    { from: part(bar), to: part(rod) },
    { from: part(bar), to: part(building) },
    ...nodes.filter(({ kind }) => kind === 'arrester').map((arrester) => ({ from: arrester, to: part(bar) })),
  ].reduce<Bond[]>((made, { from, to }) => [...made, usualBond({ bonds: made }, profile, from, to)], []);
  return [
    ...[bar, rod, building, ...mast].map((node): SiteChange => ({ op: 'put node', node })),
    ...bonds.map((bond): SiteChange => ({ op: 'put bond', bond })),
  ];
}
