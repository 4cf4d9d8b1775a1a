/** Somebody who is at a screen just now. */
export interface Present {
  /** Of their page. */
  id: string;
  /** Empty where nobody gave a name. */
  name: string;
  path: string;
}

/** Where somebody is, is said this often, ms. */
export const SAY_MS = 30_000;
/** Who has not said so for longer has gone: two were missed. */
const GONE_MS = 2.5 * SAY_MS;

/** Who is where, as far as it was told. Nothing of it is kept. */
export class Presence {
  private readonly last = new Map<string, Present & { at: number }>();
  private readonly listeners = new Set<() => void>();
  private state: readonly Present[] = [];

  constructor(
    /** This page: it does not see itself. */
    private readonly own: string,
    private readonly now: () => number,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): readonly Present[] => this.state;

  /** @param json as the server tells it; what is no such thing is left out */
  heard(json: string): void {
    const told = read(json);
    if (!told || told.id === this.own) return;
    if (told.path === '') this.last.delete(told.id);
    else this.last.set(told.id, { ...told, at: this.now() });
    this.show();
  }

  /** Forgets those who have not been heard of. */
  tidy(): void {
    for (const [id, { at }] of this.last) if (this.now() - at > GONE_MS) this.last.delete(id);
    this.show();
  }

  private show(): void {
    const after = [...this.last.values()].map(({ id, name, path }) => ({ id, name, path }));
    if (JSON.stringify(after) === JSON.stringify(this.state)) return;
    this.state = after;
    for (const listener of this.listeners) listener();
  }
}

function read(json: string): Present | undefined {
  try {
    const { id, name, path } = JSON.parse(json) as Record<string, unknown>;
    return typeof id === 'string' && typeof name === 'string' && typeof path === 'string'
      ? { id, name, path }
      : undefined;
  } catch {
    return undefined;
  }
}

/** The run or the job a screen is about; nothing where it is about none. */
const subjectOf = (path: string): string | undefined => /^\/(runs|jobs)\/[^/?]+/.exec(path)?.[0];

/** Who else is at the same run or job, by name; those without one are counted. */
export function besideMe(all: readonly Present[], path: string): string[] {
  const subject = subjectOf(path);
  if (subject === undefined) return [];
  const there = all.filter((one) => subjectOf(one.path) === subject);
  const names = [...new Set(there.map(({ name }) => name).filter((name) => name !== ''))].toSorted();
  const unnamed = there.filter(({ name }) => name === '').length;
  return [...names, ...(unnamed > 0 ? [unnamed === 1 ? 'somebody' : `${unnamed} others`] : [])];
}
