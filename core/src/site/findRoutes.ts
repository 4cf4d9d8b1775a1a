import { wayLength } from './way/path.js';
import type { Site } from './document/site.js';

/** A chain of ways between two points. */
export interface FoundRoute {
  ways: string[];
  lengthM: number;
  /** Bends entered on its ways. */
  bends: number;
}

interface Link {
  way: string;
  to: string;
  lengthM: number;
}

/**
 * Chains of ways from one point to another, the shortest first; none goes through a point twice.
 *
 * @param most how many are wanted
 * @returns nothing when no ways lead there
 */
export function findRoutes(site: Site, from: string, to: string, most = 3): FoundRoute[] {
  const links = linksOf(site);
  const found: Link[][] = [];
  const first = shortest(links, from, to, new Set(), new Set());
  if (!first) return [];
  found.push(first);
  // Yen: each next one leaves one of those before at some point, by a way none of them took there.
  const waiting: Link[][] = [];
  while (found.length < most) {
    const last = found[found.length - 1];
    for (let k = 0; k < last.length; k++) {
      const root = last.slice(0, k);
      const at = k === 0 ? from : last[k - 1].to;
      const taken = found.filter((one) => sameWays(one.slice(0, k), root)).map((one) => one[k]?.way ?? '');
      const passed = new Set([from, ...root.map((link) => link.to)]);
      passed.delete(at);
      const spur = shortest(links, at, to, new Set(taken), passed);
      if (!spur) continue;
      const whole = [...root, ...spur];
      if (![...found, ...waiting].some((one) => sameWays(one, whole))) waiting.push(whole);
    }
    const [next] = waiting.sort((x, y) => lengthOf(x) - lengthOf(y)).splice(0, 1);
    if (!next) break;
    found.push(next);
  }
  return found.map((chain) => ({
    ways: chain.map(({ way }) => way),
    lengthM: lengthOf(chain),
    bends: chain.reduce(
      (sum, { way }) => sum + (site.ways.find(({ id }) => id === way)?.bends.length ?? 0),
      0,
    ),
  }));
}

const lengthOf = (chain: readonly Link[]): number => chain.reduce((sum, { lengthM }) => sum + lengthM, 0);
const sameWays = (one: readonly Link[], other: readonly Link[]): boolean =>
  one.length === other.length && one.every(({ way }, k) => way === other[k].way);

function linksOf(site: Site): Map<string, Link[]> {
  const links = new Map<string, Link[]>(site.points.map(({ id }) => [id, []]));
  for (const way of site.ways) {
    const lengthM = wayLength(site, way).value;
    links.get(way.from)?.push({ way: way.id, to: way.to, lengthM });
    links.get(way.to)?.push({ way: way.id, to: way.from, lengthM });
  }
  return links;
}

/** Dijkstra, without some ways at its first step and some points altogether. */
function shortest(
  links: ReadonlyMap<string, Link[]>,
  from: string,
  to: string,
  notFirst: ReadonlySet<string>,
  avoided: ReadonlySet<string>,
): Link[] | undefined {
  const best = new Map<string, { lengthM: number; chain: Link[] }>([[from, { lengthM: 0, chain: [] }]]);
  const done = new Set(avoided);
  for (;;) {
    const [at, here] =
      [...best].filter(([id]) => !done.has(id)).sort(([, x], [, y]) => x.lengthM - y.lengthM)[0] ?? [];
    if (at === undefined || !here) return undefined;
    if (at === to) return here.chain;
    done.add(at);
    for (const link of links.get(at) ?? []) {
      if (done.has(link.to) || (at === from && notFirst.has(link.way))) continue;
      const lengthM = here.lengthM + link.lengthM;
      if (lengthM < (best.get(link.to)?.lengthM ?? Infinity))
        best.set(link.to, { lengthM, chain: [...here.chain, link] });
    }
  }
}
