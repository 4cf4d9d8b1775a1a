import { createStore, del, get, getMany, keys, set, type UseStore } from 'idb-keyval';

/** Why this device does not keep something. */
export type KeeperTrouble = 'full' | 'forbidden';

/** The device refused to keep something; what was to be kept is still in memory. */
export class NotKept extends Error {
  constructor(readonly trouble: KeeperTrouble) {
    super(
      trouble === 'full'
        ? 'This device has no room left. What you do is kept only while this page is open: keep it open until the server has it.'
        : 'This browser keeps nothing for this page. What you do is kept only while this page is open: keep it open until the server has it.',
    );
  }
}

/** What this device keeps through reload, crash and an empty battery, entry by entry. What comes out is unknown: its reader checks it. */
export interface Keeper {
  get(key: string): Promise<unknown>;
  /** @throws {NotKept} when there is no room, or the browser forbids it */
  put(key: string, value: unknown): Promise<void>;
  remove(key: string): Promise<void>;
  /** All whose keys begin so, in the order of their keys. */
  entries(prefix: string): Promise<[string, unknown][]>;
}

const trouble = (error: unknown): NotKept =>
  new NotKept(error instanceof DOMException && error.name === 'QuotaExceededError' ? 'full' : 'forbidden');

/** In the browser’s own database, shared by all tabs. */
export class IndexedKeeper implements Keeper {
  private readonly store: UseStore = createStore('kobran', 'kept');

  get(key: string): Promise<unknown> {
    return get(key, this.store);
  }

  async put(key: string, value: unknown): Promise<void> {
    try {
      await set(key, value, this.store);
    } catch (error) {
      throw trouble(error);
    }
  }

  async remove(key: string): Promise<void> {
    try {
      await del(key, this.store);
    } catch (error) {
      throw trouble(error);
    }
  }

  async entries(prefix: string): Promise<[string, unknown][]> {
    const all = (await keys<string>(this.store)).filter((key) => key.startsWith(prefix)).sort();
    const values = await getMany<unknown>(all, this.store);
    // Another tab may have removed one between the two questions.
    return all.flatMap((key, k): [string, unknown][] => (values[k] === undefined ? [] : [[key, values[k]]]));
  }
}

/** Keeps only as long as the page lives: where the browser forbids more, and in tests. */
export class MemoryKeeper implements Keeper {
  private readonly kept = new Map<string, unknown>();

  get(key: string): Promise<unknown> {
    return Promise.resolve(this.kept.get(key));
  }

  put(key: string, value: unknown): Promise<void> {
    this.kept.set(key, structuredClone(value));
    return Promise.resolve();
  }

  remove(key: string): Promise<void> {
    this.kept.delete(key);
    return Promise.resolve();
  }

  entries(prefix: string): Promise<[string, unknown][]> {
    const found = [...this.kept].filter(([key]) => key.startsWith(prefix));
    return Promise.resolve(found.sort(([x], [y]) => (x < y ? -1 : 1)));
  }
}
