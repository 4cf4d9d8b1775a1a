/** Writers share one sync of the disk: whoever asks while one is under way waits for the next, which serves them all. */
export class GroupedSync {
  private running: Promise<void> = Promise.resolve();
  private next: Promise<void> | undefined;

  /** @param sync brings everything written before it was called to the disk */
  constructor(private readonly sync: () => Promise<void>) {}

  /** Resolves when what was written before this call is on the disk. */
  reached(): Promise<void> {
    if (this.next) return this.next;
    const begin = (): Promise<void> => {
      this.running = next;
      this.next = undefined;
      return this.sync();
    };
    // A sync that failed has told those who waited for it; the next one tries anew.
    const next = this.running.then(begin, begin);
    this.next = next;
    return next;
  }
}
