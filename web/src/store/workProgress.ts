import { isObject } from '@kobran/core';
import type { Keeper } from './kept/keeper.js';
import { progressKey } from './kept/keys.js';

/** How far a work is, and since when; no body when it is done or given up. */
export interface Progress {
  at: string;
  body?: object;
}

export interface ProgressPorts {
  keeper: Keeper;
  /** What the server has of this work; nothing when it has none or does not answer. */
  fetch: () => Promise<Progress | undefined>;
  /** Gives it to the server. @returns whether that has it */
  send: (progress: Progress) => Promise<boolean>;
  later: (ms: number, act: () => void) => () => void;
  now: () => string;
  warn: (message: string) => void;
}

const PAUSE_MS = 300;
const RETRY_MS = 5_000;

/**
 * How far a card or a batch is: kept on this device first, then on the server, so that a second phone goes on where the first stopped.
 * The newest stands.
 */
export class WorkProgress<Body extends object> {
  private known: Progress | undefined;
  private readonly key: string;
  private cancel: () => void = () => undefined;
  private changed = false;

  /** @param read checks what was kept; nothing when it is not such a work any more */
  constructor(
    runId: string,
    work: string,
    private readonly read: (value: unknown) => Body | undefined,
    private readonly ports: ProgressPorts,
  ) {
    this.key = progressKey(runId, work);
  }

  /** What this device kept. */
  async ofDevice(): Promise<Body | undefined> {
    this.known = readProgress(await this.ports.keeper.get(this.key));
    return this.body();
  }

  /** What the server has, when it is newer than what this device kept and nothing was done here meanwhile. */
  async ofServer(): Promise<{ body: Body | undefined } | undefined> {
    const theirs = await this.ports.fetch();
    if (!theirs || this.changed) return undefined;
    if (this.known && theirs.at <= this.known.at) {
      if (theirs.at < this.known.at) this.sendLater(0);
      return undefined;
    }
    this.known = theirs;
    return { body: this.body() };
  }

  /** Keeps how far it is; nothing when it is done or given up. */
  keep(body: Body | undefined): void {
    this.changed = true;
    this.known = { at: this.ports.now(), ...(body ? { body } : {}) };
    this.ports.keeper
      .put(this.key, this.known)
      .catch((error: unknown) => this.ports.warn(error instanceof Error ? error.message : String(error)));
    this.sendLater(PAUSE_MS);
  }

  /** Sends at once what waits, as when the screen is left. */
  flush(): void {
    if (!this.changed) return;
    this.cancel();
    void this.send();
  }

  private sendLater(ms: number): void {
    this.cancel();
    this.cancel = this.ports.later(ms, () => void this.send());
  }

  private async send(): Promise<void> {
    if (!this.known) return;
    const sent = this.known;
    if (!(await this.ports.send(sent)) && this.known === sent) this.sendLater(RETRY_MS);
  }

  private body(): Body | undefined {
    return this.known?.body && this.read(this.known.body);
  }
}

function readProgress(value: unknown): Progress | undefined {
  if (!isObject(value) || typeof value.at !== 'string') return undefined;
  return { at: value.at, ...(isObject(value.body) ? { body: value.body } : {}) };
}
