import { isObject, type Practice } from '@kobran/core';
import { NotKept, type Keeper } from './kept/keeper.js';
import { PRACTICE, practiceKey } from './kept/keys.js';
import type { Tabs } from './kept/tabs.js';

export type PracticeChange = Partial<Practice>;

/** What became of a change: the server has it, refuses it with words, or could not be asked. */
export type ChangeDelivery = { kind: 'done' } | { kind: 'refused'; message: string } | { kind: 'away' };

export interface ChangePorts {
  keeper: Keeper;
  tabs: Pick<Tabs, 'alone' | 'tell' | 'hear'>;
  /** Lays a change over what stands: of a job, or of the shop where the id is empty. */
  deliver: (jobId: string, change: PracticeChange) => Promise<ChangeDelivery>;
  /** Reads again what the server says of it. */
  arrived: (jobId: string) => Promise<unknown>;
  /** Checks an entry of the store; nothing when it is none. */
  check: (value: object) => Promise<PracticeChange | undefined>;
  /** Keeps a change which the server refuses, with the reason, until somebody decides. */
  setAside: (jobId: string, change: PracticeChange, why: string) => Promise<void>;
  later: (ms: number, act: () => void) => () => void;
  warn: (message: string) => void;
}

const NEWS = 'practice';
const RETRY_MS = 2_500;

/**
 * Changes of practices, kept on this device until the server has them: made offline, in any tab, they outlive a reload. Each is laid over
 * what stands on the server, field by field, so that the fields somebody else has changed meanwhile stay changed.
 */
export class PracticeChanges {
  private changes: ReadonlyMap<string, PracticeChange> = new Map();
  /** Made in this tab, and not in the store since that is full or forbidden. */
  private readonly unkept = new Set<string>();
  private readonly listeners = new Set<() => void>();
  private cancelRetry: () => void = () => undefined;
  private stopHearing: () => void = () => undefined;

  constructor(private readonly ports: ChangePorts) {}

  async start(): Promise<void> {
    this.stopHearing = this.ports.tabs.hear((news) => {
      if (news === NEWS) void this.refresh();
    });
    await this.refresh();
    this.send();
  }

  stop(): void {
    this.stopHearing();
    this.cancelRetry();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** What waits, by job; the shop's own under an empty id. */
  readonly snapshot = (): ReadonlyMap<string, PracticeChange> => this.changes;

  /** Takes a change; it is shown at once, kept next, and sent then. */
  async put(jobId: string, change: PracticeChange): Promise<void> {
    const whole = { ...this.changes.get(jobId), ...change };
    this.show(new Map([...this.changes, [jobId, whole]]));
    try {
      this.unkept.add(jobId);
      await this.ports.keeper.put(practiceKey(jobId), whole);
      this.unkept.delete(jobId);
      this.ports.tabs.tell(NEWS);
    } catch (error) {
      if (!(error instanceof NotKept)) throw error;
      this.ports.warn(error.message);
    }
    this.send();
  }

  private send(): void {
    this.cancelRetry();
    void this.ports.tabs
      .alone(NEWS, () => this.round())
      .then((complete) => {
        if (!complete) this.cancelRetry = this.ports.later(RETRY_MS, () => this.send());
      });
  }

  /** Sends everything once. @returns whether nothing waits */
  private async round(): Promise<boolean> {
    for (const [jobId, change] of this.changes) {
      const delivery = await this.ports.deliver(jobId, change);
      if (delivery.kind === 'away') return false;
      if (delivery.kind === 'refused') {
        await this.ports.setAside(jobId, change, delivery.message);
        this.ports.warn(
          `The server refused a change of the practice. It is set aside here. ${delivery.message}`,
        );
      }
      await this.ports.arrived(jobId);
      // Changed again while it was on its way: that goes in the next round.
      if (this.changes.get(jobId) !== change) return false;
      this.unkept.delete(jobId);
      await this.ports.keeper.remove(practiceKey(jobId));
      this.show(new Map([...this.changes].filter(([id]) => id !== jobId)));
      this.ports.tabs.tell(NEWS);
    }
    return true;
  }

  private async refresh(): Promise<void> {
    const found = await this.ports.keeper.entries(PRACTICE);
    const read = await Promise.all(
      found.map(async ([key, value]): Promise<[string, PracticeChange][]> => {
        const change = isObject(value) ? await this.ports.check(value) : undefined;
        return change ? [[key.slice(PRACTICE.length), change]] : [];
      }),
    );
    const own = [...this.changes].filter(([jobId]) => this.unkept.has(jobId));
    this.show(new Map([...read.flat(), ...own]));
  }

  private show(changes: ReadonlyMap<string, PracticeChange>): void {
    this.changes = changes;
    for (const listener of this.listeners) listener();
  }
}
