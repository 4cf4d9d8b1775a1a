import type { Bond } from '../document/ground.js';

type Ends = Pick<Bond, 'from' | 'to'>;

/**
 * Nodes which are tied together, each set once; a node without a conductor is a set of its own. Breadth-first search.
 *
 * @param nodes ids, in the order in which sets are given
 */
export function islandsOf(nodes: readonly string[], bonds: readonly Ends[]): string[][] {
  const beside = neighboursOf(bonds);
  const seen = new Set<string>();
  return nodes.flatMap((start): string[][] => {
    if (seen.has(start)) return [];
    seen.add(start);
    const island = [start];
    for (const id of island)
      for (const next of beside.get(id) ?? [])
        if (!seen.has(next)) {
          seen.add(next);
          island.push(next);
        }
    return [island];
  });
}

function neighboursOf(bonds: readonly Ends[]): Map<string, string[]> {
  const beside = new Map<string, string[]>();
  const put = (from: string, to: string): void => {
    const there = beside.get(from);
    if (there) there.push(to);
    else beside.set(from, [to]);
  };
  for (const { from, to } of bonds) {
    put(from, to);
    put(to, from);
  }
  return beside;
}

/** The way of least inductance from each node to the nearest electrode: its conductors in order. Dijkstra from all electrodes at once. */
export function pathsToEarth<B extends Ends>(
  electrodes: readonly string[],
  bonds: readonly B[],
  cost: (bond: B) => number,
): Map<string, B[]> {
  const known = new Map<string, { sum: number; path: B[] }>(
    electrodes.map((id) => [id, { sum: 0, path: [] }]),
  );
  const from = new Map<string, B[]>();
  for (const bond of bonds)
    for (const end of [bond.from, bond.to]) {
      const there = from.get(end);
      if (there) there.push(bond);
      else from.set(end, [bond]);
    }
  const open = new Set(electrodes);
  while (open.size > 0) {
    const here = [...open].reduce((x, y) => (sumOf(y) < sumOf(x) ? y : x));
    open.delete(here);
    const { sum, path } = known.get(here) ?? { sum: 0, path: [] };
    for (const bond of from.get(here) ?? []) {
      const next = bond.from === here ? bond.to : bond.from;
      const through = sum + cost(bond);
      if (through >= sumOf(next)) continue;
      known.set(next, { sum: through, path: [bond, ...path] });
      open.add(next);
    }
  }
  function sumOf(id: string): number {
    return known.get(id)?.sum ?? Infinity;
  }
  return new Map([...known].map(([id, { path }]) => [id, path]));
}
