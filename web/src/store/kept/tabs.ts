/** What tabs of one browser have between them: one at a time, news for the others, and who is still open. */
export interface Tabs {
  /** This tab, also after a reload. */
  readonly id: string;
  /** Works alone among all tabs; waits for its turn. */
  alone<T>(name: string, work: () => Promise<T>): Promise<T>;
  /** Tells the other tabs that something kept has changed. */
  tell(news: string): void;
  /** Hears what other tabs tell. @returns how to stop */
  hear(listener: (news: string) => void): () => void;
  /** Tabs which are open, this one among them. */
  open(): Promise<ReadonlySet<string>>;
}

const TAB = 'kobran.tab';
const lockOf = (id: string): string => `kobran tab ${id}`;

/** Tabs of this browser by Web Locks and a broadcast channel. */
export async function browserTabs(): Promise<Tabs> {
  const channel = new BroadcastChannel('kobran');
  const id = await claim(sessionStorage.getItem(TAB) ?? crypto.randomUUID());
  sessionStorage.setItem(TAB, id);
  return {
    id,
    alone: (name, work) => navigator.locks.request(`kobran ${name}`, work),
    tell: (news) => channel.postMessage(news),
    hear: (listener) => {
      const heard = ({ data }: MessageEvent<unknown>): void => {
        if (typeof data === 'string') listener(data);
      };
      channel.addEventListener('message', heard);
      return () => channel.removeEventListener('message', heard);
    },
    open: async () => {
      const { held = [] } = await navigator.locks.query();
      return new Set(held.flatMap(({ name }) => (name ? [name.replace(lockOf(''), '')] : [])));
    },
  };
}

/** Holds a name as long as the tab lives; a tab which was duplicated brings a name that is taken, and gets another. */
function claim(wish: string): Promise<string> {
  return new Promise((resolve) => {
    void navigator.locks.request(lockOf(wish), { ifAvailable: true }, (lock) => {
      if (!lock) return void claim(crypto.randomUUID()).then(resolve);
      resolve(wish);
      return new Promise(() => undefined); // Held until the tab is gone.
    });
  });
}
