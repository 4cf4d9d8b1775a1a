import { isObject } from '../../quantity/index.js';
import type { Catalog } from '../catalog.js';
import type { ShopEntry } from './entries.js';

/** Every entry of a catalogue, shipped and own, in the order of the kinds. */
export function catalogEntries({ cables, parts, adapters, ports, stock, reels }: Catalog): ShopEntry[] {
  return [
    ...[...cables.values()].map((data): ShopEntry => ({ kind: 'cable', data })),
    ...[...parts.values()].map(({ train: _, referencePlane: __, ...data }): ShopEntry => ({
      kind: 'part',
      data,
    })),
    ...[...adapters.values()].map((data): ShopEntry => ({ kind: 'adapter', data })),
    ...[...ports.values()].map((data): ShopEntry => ({ kind: 'port', data })),
    ...[...stock.values()].map((data): ShopEntry => ({ kind: 'stock', data })),
    ...[...reels.values()].map((data): ShopEntry => ({ kind: 'reel', data })),
  ];
}

/** Entries of a file which are not in the catalogue just so: what bringing it in would add or change. */
export function newEntries(file: readonly ShopEntry[], catalog: Catalog): ShopEntry[] {
  const known = new Map(
    catalogEntries(catalog).map(({ kind, data }) => [`${kind} ${data.id}`, canonical(data)]),
  );
  return file.filter(({ kind, data }) => known.get(`${kind} ${data.id}`) !== canonical(data));
}

/** JSON with its keys in order, to compare by. */
const canonical = (value: object): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    isObject(inner) ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1))) : inner,
  );
