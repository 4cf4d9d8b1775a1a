/**
 * What this browser remembers of one device. Anything may stand there: a text of an older version, of another program, half of one.
 * What does not look like what is expected counts as nothing, so that no spoilt entry gives a dead screen.
 */
type Store = Pick<Storage, 'getItem' | 'setItem'>;

export type Members = Record<string, unknown>;

const isMembers = (value: unknown): value is Members =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The members of what is kept under a key; none where there is nothing, or no object. */
export function keptMembers(key: string, store: Store = localStorage): Members {
  try {
    const kept: unknown = JSON.parse(store.getItem(key) ?? '{}');
    return isMembers(kept) ? kept : {};
  } catch {
    return {}; // No JSON, or a browser which lets nothing be kept.
  }
}

/** Keeps something; a store which is full or forbidden keeps it for this page only, where it is in use anyway. */
export function keep(key: string, value: unknown, store: Store = localStorage): void {
  try {
    store.setItem(key, JSON.stringify(value));
  } catch {
    // Nothing hangs on it: it is asked or fetched again.
  }
}

/** The usual values with those that are kept and of the same sort: a text for a text, a whole for a whole. */
export function likeUsual<T extends object>(usual: T, kept: unknown): T {
  if (!isMembers(kept)) return usual;
  return Object.fromEntries(
    Object.entries(usual).map(([name, value]: [string, unknown]) => {
      const other = kept[name];
      if (isMembers(value)) return [name, likeUsual(value, other)];
      const fits = typeof other === typeof value && (typeof other !== 'number' || Number.isFinite(other));
      return [name, fits ? other : value];
    }),
  ) as T;
}

/** One of a few, or the usual one. */
export const oneOf = <T extends string>(known: readonly T[], kept: unknown, usual: T): T =>
  known.find((one) => one === kept) ?? usual;
