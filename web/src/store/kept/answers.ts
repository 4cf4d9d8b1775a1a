import { clear, createStore, del, get, keys, set, type UseStore } from 'idb-keyval';

/** An answer of the server as this device keeps it. */
export interface KeptAnswer {
  /** Of which shape answers were then: one of another shape is not believed. */
  form: string;
  /** When the server gave it, ms. */
  at: number;
  data: unknown;
}

/** What the server has answered, kept on this device question by question. */
export interface AnswerStore {
  get(key: string): Promise<KeptAnswer | undefined>;
  put(key: string, answer: KeptAnswer): Promise<void>;
  /** Forgets those which the server gave before a moment, ms. */
  forgetBefore(moment: number): Promise<void>;
  forgetAll(): Promise<void>;
}

/** In a database of their own: they may be forgotten, and what waits to be sent may not. */
export class IndexedAnswers implements AnswerStore {
  private readonly store: UseStore = createStore('kobran answers', 'answers');

  get(key: string): Promise<KeptAnswer | undefined> {
    return get<KeptAnswer>(key, this.store);
  }

  put(key: string, answer: KeptAnswer): Promise<void> {
    return set(key, answer, this.store);
  }

  async forgetBefore(moment: number): Promise<void> {
    for (const key of await keys<string>(this.store)) {
      const answer = await get<KeptAnswer>(key, this.store);
      if (answer && answer.at < moment) await del(key, this.store);
    }
  }

  forgetAll(): Promise<void> {
    return clear(this.store);
  }
}
