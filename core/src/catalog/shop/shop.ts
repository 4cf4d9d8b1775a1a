import { isObject, readAs, type Problem } from '../../quantity/index.js';
import type { Catalog } from '../catalog.js';
import { partOf } from '../parts/index.js';
import { shopClasses, shopKinds, type ShopEntries, type ShopEntry, type ShopKind } from './entries.js';
import { implausible } from './plausible.js';

const isKind = (kind: unknown): kind is ShopKind => shopKinds.some((known) => known === kind);

/** Reads an unknown value as one entry of a shop: shape, limits, and whether such a thing can exist. */
export function readShopEntry(
  kind: unknown,
  data: unknown,
  where = '',
): { ok: true; entry: ShopEntry } | { ok: false; problems: Problem[] } {
  if (!isKind(kind))
    return {
      ok: false,
      problems: [
        {
          code: 'catalog.kind',
          message: `“${String(kind)}” is not a kind of entry.`,
          where: where || 'kind',
          remedy: `Use one of ${shopKinds.join(', ')}.`,
        },
      ],
    };
  if (!isObject(data))
    return {
      ok: false,
      problems: [
        {
          code: 'catalog.not-an-entry',
          message: 'An entry is a JSON object.',
          where,
          remedy: 'Write the entry out.',
        },
      ],
    };
  const read = readAs<object>(shopClasses[kind], data, where);
  if (!read.ok) return read;
  const entry = { kind, data: read.value } as ShopEntry;
  const problems = implausible(entry).map((one) => ({
    ...one,
    where: where ? `${where}.${one.where}` : one.where,
  }));
  return problems.length > 0 ? { ok: false, problems } : { ok: true, entry };
}

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
