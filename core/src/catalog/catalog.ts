import type { Adapter } from './adapters.js';
import type { Arrester } from './arresters.js';
import type { Cable } from './cable.js';
import type { Part } from './part.js';
import type { Port, Reel, Stock } from './shop/entries.js';

/** Everything a design may name, by id. */
export interface Catalog {
  cables: ReadonlyMap<string, Cable>;
  parts: ReadonlyMap<string, Part>;
  adapters: ReadonlyMap<string, Adapter>;
  arresters: ReadonlyMap<string, Arrester>;
  /** Ports somebody owns; the shipped catalogue has none. */
  ports: ReadonlyMap<string, Port>;
  /** Adapters on the shelf. */
  stock: ReadonlyMap<string, Stock>;
  /** Cable on the shelf. */
  reels: ReadonlyMap<string, Reel>;
}
