import { MemoryKeeper, NotKept, type KeeperTrouble } from './kept/keeper.js';
import type { Tabs } from './kept/tabs.js';

/** A clock which a test turns: what is done later happens when it is told to. */
export class FakeClock {
  private waiting: { at: number; act: () => void }[] = [];
  private time = 0;

  readonly later = (ms: number, act: () => void): (() => void) => {
    const one = { at: this.time + ms, act };
    this.waiting.push(one);
    return () => {
      this.waiting = this.waiting.filter((other) => other !== one);
    };
  };

  /** Lets so much time pass; what falls due is done in its order. */
  async pass(ms: number): Promise<void> {
    const until = this.time + ms;
    await settled();
    for (;;) {
      const [next] = this.waiting.filter(({ at }) => at <= until).sort((x, y) => x.at - y.at);
      if (!next) break;
      this.waiting = this.waiting.filter((other) => other !== next);
      this.time = next.at;
      next.act();
      await settled();
    }
    this.time = until;
  }
}

/** Lets everything that is under way come to its end. */
export async function settled(): Promise<void> {
  for (let k = 0; k < 50; k++) await Promise.resolve();
}

/** The store of one browser, which may be full. */
export class FakeKeeper extends MemoryKeeper {
  trouble: KeeperTrouble | undefined;

  override put(key: string, value: unknown): Promise<void> {
    return this.trouble ? Promise.reject(new NotKept(this.trouble)) : super.put(key, value);
  }
}

/** Tabs of one browser: they take turns and hear each other. */
export class FakeBrowser {
  readonly keeper = new FakeKeeper();
  /** Of each page by its tab: a page which is reloaded is another one in the same tab. */
  private readonly pages = new Map<string, Set<(news: string) => void>>();
  private turn: Promise<unknown> = Promise.resolve();

  open(id: string): Tabs {
    const own = new Set<(news: string) => void>();
    this.pages.set(id, own);
    return {
      id,
      alone: <T>(_: string, work: () => Promise<T>): Promise<T> => {
        const mine = this.turn.then(work);
        this.turn = mine.catch(() => undefined);
        return mine;
      },
      tell: (news) => {
        for (const heard of this.pages.values())
          if (heard !== own) for (const listener of heard) listener(news);
      },
      hear: (listener) => {
        own.add(listener);
        return () => own.delete(listener);
      },
      open: () => Promise.resolve(new Set(this.pages.keys())),
    };
  }

  close(id: string): void {
    this.pages.delete(id);
  }
}
