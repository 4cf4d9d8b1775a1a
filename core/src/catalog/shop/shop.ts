import type { Catalog } from '../catalog.js';
import { partOf } from '../parts/index.js';
import type { ShopEntries, ShopEntry, ShopKind } from './entries.js';

const overlaid = <T extends { id: string }>(
  shelf: ReadonlyMap<string, T>,
  own: readonly T[],
): ReadonlyMap<string, T> =>
  own.length === 0 ? shelf : new Map([...shelf, ...own.map((item): [string, T] => [item.id, item])]);

/** The catalogue with what a shop has added; an entry with a known id stands in place of the shipped one. */
export function withShop(catalog: Catalog, entries: readonly ShopEntry[]): Catalog {
  const of = <K extends ShopKind>(kind: K): ShopEntries[K][] =>
    entries.flatMap((entry) => (entry.kind === kind ? [entry.data as ShopEntries[K]] : []));
  return {
    cables: overlaid(catalog.cables, of('cable')),
    parts: overlaid(catalog.parts, of('part').map(partOf)),
    adapters: overlaid(catalog.adapters, of('adapter')),
    arresters: catalog.arresters,
    ports: overlaid(catalog.ports, of('port')),
    stock: overlaid(catalog.stock, of('stock')),
    reels: overlaid(catalog.reels, of('reel')),
  };
}
