import type { AddTrace, ApiProblem, Picture } from '@kobran/contract';
import { isObject, type Fact } from '@kobran/core';
import type { Keeper } from './kept/keeper.js';
import { NotKept } from './kept/keeper.js';
import { ASIDE, OUTBOX, asideKey, outboxKey } from './kept/keys.js';
import type { Tabs } from './kept/tabs.js';

/** A fact, a sweep or a picture on its way to the server. Each carries its own id, so that one sent twice is kept once. */
export type Parcel = { runId: string } & (
  { kind: 'fact'; body: Fact } | { kind: 'trace'; body: AddTrace } | { kind: 'picture'; body: WaitingPicture }
);

/** The bytes of a photo; the run or the site says what is on it. */
export type WaitingPicture = Picture & { id: string; at: string; jobId: string };

/** A parcel which the server refused, or an entry which cannot be read. */
export interface Aside {
  key: string;
  /** What it is, where it is no parcel. */
  what: string;
  /** Nothing when it cannot be read. */
  parcel: Parcel | undefined;
  /** As it stands in the store. */
  value: unknown;
  why: string;
}

/** What became of a parcel: the server has it, it will never take it, or it could not be asked. */
export type Delivery =
  { kind: 'done' } | { kind: 'refused'; problem: ApiProblem } | { kind: 'failed' } | { kind: 'away' };

/** An entry of the store as it was read, or why it is none. */
export type ReadParcel = { ok: true; parcel: Parcel } | { ok: false; why: string };

export interface OutboxPorts {
  keeper: Keeper;
  tabs: Pick<Tabs, 'alone' | 'tell' | 'hear'>;
  deliver: (parcel: Parcel) => Promise<Delivery>;
  /** Reads again what the server says of a run, since it has got something of it; also when another tab has sent it. */
  arrived: (runId: string) => Promise<void>;
  /** Checks an entry of the store. @throws when the rules are not at hand: then it is looked at later */
  check: (value: unknown) => Promise<ReadParcel>;
  /** Does something later. @returns how not to */
  later: (ms: number, act: () => void) => () => void;
  /** Something a person must know. */
  warn: (message: string) => void;
}

/** What a screen sees of it. */
export interface OutboxState {
  waiting: readonly Parcel[];
  aside: readonly Aside[];
}

const NEWS = 'outbox';
/** Followed by the run of which the server has got something. */
const ARRIVED = 'outbox arrived ';
const RETRY_MS = 2_500;

/**
 * Keeps facts, sweeps and pictures on this device until the server has them, whichever tab they were made in.
 *
 * Each stands under a key of its own, so tabs do not write over each other; only one tab at a time sends. One which the server refuses is set
 * aside with the reason, one which fails is tried again, and the others go on.
 */
export class Outbox {
  /** By key, oldest first. */
  private parcels = new Map<string, Parcel>();
  private aside: readonly Aside[] = [];
  /** Counts what has happened to the store: an older look at it never stands over a newer one. */
  private changes = 0;
  /** Made in this tab, and not in the store since that is full or forbidden. */
  private readonly unkept = new Map<string, Parcel>();
  private readonly listeners = new Set<() => void>();
  private state: OutboxState = { waiting: [], aside: [] };
  private sending = false;
  private again = false;
  private cancelRetry: () => void = () => undefined;
  private stopHearing: () => void = () => undefined;

  constructor(private readonly ports: OutboxPorts) {}

  /** Reads what waits and begins to send. */
  async start(): Promise<void> {
    this.stopHearing = this.ports.tabs.hear((news) => void this.heard(news));
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

  readonly snapshot = (): OutboxState => this.state;

  /** Takes a parcel; it is shown at once, kept next, and sent then. */
  async put(parcel: Parcel): Promise<void> {
    const key = outboxKey(parcel.body.at, parcel.body.id);
    this.unkept.set(key, parcel);
    this.show();
    try {
      await this.ports.keeper.put(key, parcel);
      this.parcels.set(key, parcel);
      this.changes += 1;
      this.unkept.delete(key);
      this.ports.tabs.tell(NEWS);
    } catch (error) {
      if (!(error instanceof NotKept)) throw error;
      this.ports.warn(error.message);
    }
    this.send();
  }

  /** Takes what is no parcel and cannot be kept elsewhere, with the reason. */
  async setAside(key: string, { what, value, why }: Pick<Aside, 'what' | 'value' | 'why'>): Promise<void> {
    await this.ports.keeper.put(asideKey(key), { what, value, why });
    await this.refresh();
    this.ports.tabs.tell(NEWS);
  }

  /** Sets aside what waits for one who does not come back to this device, until somebody decides. */
  async setAsideOf(by: string): Promise<void> {
    for (const [key, parcel] of this.parcels)
      if ('by' in parcel.body && parcel.body.by === by)
        await this.moveAside(key, parcel, `${by} did not sign in on this device again.`);
    await this.refresh();
    this.ports.tabs.tell(NEWS);
  }

  /** Offers what was set aside once more. */
  async retry({ key, parcel }: Aside): Promise<void> {
    if (parcel) await this.ports.keeper.put(outboxKey(parcel.body.at, parcel.body.id), parcel);
    await this.discard({ key });
    this.send();
  }

  /** Gives up what was set aside: somebody has decided. */
  async discard({ key }: Pick<Aside, 'key'>): Promise<void> {
    await this.ports.keeper.remove(key);
    await this.refresh();
    this.ports.tabs.tell(NEWS);
  }

  /** What another tab has sent goes from here only when the server's word of it has come: it is seen all the time. */
  private async heard(news: string): Promise<void> {
    if (news.startsWith(ARRIVED)) await this.ports.arrived(news.slice(ARRIVED.length));
    if (news === NEWS || news.startsWith(ARRIVED)) await this.refresh();
    // The tab that wrote it may be closed before it has sent it.
    if (this.parcels.size > 0 && !this.sending) this.tryAgainLater();
  }

  private tryAgainLater(): void {
    this.cancelRetry();
    this.cancelRetry = this.ports.later(RETRY_MS, () => this.send());
  }

  private send(): void {
    this.cancelRetry();
    if (this.sending) {
      this.again = true;
      return;
    }
    this.sending = true;
    void this.ports.tabs
      .alone(NEWS, () => this.round())
      .then((complete) => {
        this.sending = false;
        if (this.again) {
          this.again = false;
          this.send();
        } else if (!complete) this.tryAgainLater();
      });
  }

  /** Sends everything once, oldest first. @returns whether all of it was settled */
  private async round(): Promise<boolean> {
    let complete = await this.refresh();
    for (const [key, parcel] of [...this.parcels, ...this.unkept]) {
      const delivery = await this.ports.deliver(parcel);
      if (delivery.kind === 'away') return false;
      if (delivery.kind === 'failed') complete = false;
      else await this.settle(key, parcel, delivery);
    }
    return complete;
  }

  private async settle(key: string, parcel: Parcel, delivery: Delivery): Promise<void> {
    if (delivery.kind === 'refused') {
      const { message, remedy } = delivery.problem;
      await this.moveAside(key, parcel, `${message} ${remedy}`);
      this.ports.warn(`The server refused an entry. It is set aside here. ${message} ${remedy}`);
    }
    const arrived = delivery.kind === 'done';
    if (arrived) {
      await this.ports.arrived(parcel.runId);
      await this.ports.keeper.remove(key);
    }
    this.unkept.delete(key);
    this.parcels.delete(key);
    this.changes += 1;
    this.show();
    this.ports.tabs.tell(arrived ? `${ARRIVED}${parcel.runId}` : NEWS);
  }

  private async moveAside(key: string, parcel: Parcel, why: string): Promise<void> {
    await this.ports.keeper.put(asideKey(key), { parcel, why });
    await this.ports.keeper.remove(key);
  }

  /** Looks at the store again. @returns whether that was possible: without the server its rules may not be at hand */
  private async refresh(): Promise<boolean> {
    try {
      await this.read();
      return true;
    } catch (error) {
      if (error instanceof TypeError) return false; // What a browser throws when a script does not come.
      throw error;
    }
  }

  /** Reads the store; an entry which is none is set aside, and the others work. What changes while it is read is read again. */
  private async read(): Promise<void> {
    let seen: number;
    let parcels: Map<string, Parcel>;
    let aside: Aside[];
    this.changes += 1;
    do {
      seen = this.changes;
      parcels = await this.readParcels();
      aside = [];
      for (const [key, value] of await this.ports.keeper.entries(ASIDE))
        aside.push(await this.asideOf(key, value));
    } while (seen !== this.changes);
    this.parcels = parcels;
    this.aside = aside;
    this.show();
  }

  private async readParcels(): Promise<Map<string, Parcel>> {
    const parcels = new Map<string, Parcel>();
    for (const [key, value] of await this.ports.keeper.entries(OUTBOX)) {
      // What this tab has looked at before is not looked at again: a parcel never changes.
      const known = this.parcels.get(key);
      const read = known ? { ok: true as const, parcel: known } : await this.ports.check(value);
      if (read.ok) parcels.set(key, read.parcel);
      else {
        await this.ports.keeper.put(asideKey(key), { value, why: read.why });
        await this.ports.keeper.remove(key);
        this.ports.warn(`An entry kept on this device cannot be read. It is set aside. ${read.why}`);
      }
    }
    return parcels;
  }

  private async asideOf(key: string, value: unknown): Promise<Aside> {
    const entry = isObject(value) ? value : {};
    const read = entry.parcel === undefined ? undefined : await this.ports.check(entry.parcel);
    return {
      key,
      what: typeof entry.what === 'string' ? entry.what : 'An entry that cannot be read',
      value,
      parcel: read?.ok ? read.parcel : undefined,
      why: typeof entry.why === 'string' ? entry.why : 'Nobody knows why.',
    };
  }

  private show(): void {
    this.state = { waiting: [...this.parcels.values(), ...this.unkept.values()], aside: this.aside };
    for (const listener of this.listeners) listener();
  }
}
