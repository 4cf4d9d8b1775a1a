/** The channel on which the database itself tells which job or run has changed, whoever changed it (migration 0012). */
export const CHANGES_CHANNEL = 'kobran_changes';

/**
 * What has changed: a job, a run with all that is of it, the shop’s entries, or what nobody knows since it was not heard. And where somebody
 * is, which changes nothing, as JSON.
 */
export type Change = `job ${string}` | `run ${string}` | 'shop' | 'anything' | `here ${string}`;

const known = /^((job|run) [0-9a-f-]{36}|shop|here \{.*\})$/;

/** Who wants to know what has changed, in this server or in another one on the same database. */
export class Changes {
  private readonly listeners = new Set<(change: Change) => void>();

  /** @returns how to stop */
  onChange(listener: (change: Change) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  tell(change: string): void {
    const told = known.test(change) ? (change as Change) : 'anything';
    for (const listener of this.listeners) listener(told);
  }
}
