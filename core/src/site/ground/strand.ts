import type { BondSheet, GroundSheet } from './groundSheet.js';
import type { GroundPart } from './nodes.js';

/** The way of one part to its electrode: each conductor, and the part it leads to. */
export function strandOf({ nodes, bonds }: GroundSheet, id: string): { bond: BondSheet; to: GroundPart }[] {
  let at = id;
  return (nodes.find((node) => node.id === id)?.path ?? []).flatMap((step) => {
    const bond = bonds.find((one) => one.bond.id === step);
    if (!bond) return [];
    const to = bond.from.id === at ? bond.to : bond.from;
    at = to.id;
    return [{ bond, to }];
  });
}
