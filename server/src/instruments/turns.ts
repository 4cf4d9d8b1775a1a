/** One at a time for each name: whoever comes later waits for the end of those before, however they ended. */
export class Turns {
  private readonly last = new Map<string, Promise<unknown>>();

  take<T>(name: string, act: () => Promise<T>): Promise<T> {
    const before = this.last.get(name) ?? Promise.resolve();
    const mine = before.then(act, act);
    this.last.set(
      name,
      mine.catch(() => undefined),
    );
    return mine;
  }

  /** Resolves when everything begun so far has ended. */
  async ended(): Promise<void> {
    await Promise.all(this.last.values());
  }
}
