import { pathOf, routes } from '@kobran/contract';
import type { QueryClient } from '@tanstack/react-query';
import type { Tabs } from './kept/tabs.js';
import { jobKey, logKey, revisionsKey, runKey, SHOP_LOG, tracesKey } from './queries.js';

/** Followed by what has changed, as the server tells it. */
const NEWS = 'server ';
/** Followed by who is where. */
const HERE = 'here ';
/** Changes which come together are looked at together, ms. */
const TOGETHER_MS = 120;

/** Which questions have another answer after a change. */
export function keysOf(change: string): string[][] | 'all' {
  const [what, id = ''] = change.split(' ');
  switch (what) {
    case 'run':
      return [
        runKey(id),
        tracesKey(id),
        logKey(id),
        revisionsKey(id),
        ['job'],
        ['board'],
        ['board pages'],
        ['people'],
        ['inspections'],
        ['ends'],
        ['trims'],
        SHOP_LOG,
      ];
    case 'job':
      return [jobKey(id), ['jobs'], ['board'], ['board pages'], ['run'], ['inspections'], SHOP_LOG];
    case 'shop':
      return [['shop'], ['board pages'], SHOP_LOG];
    default:
      return 'all';
  }
}

/**
 * Shows what others change as soon as the server tells it. One tab of a browser listens, since a browser has few connections to one server;
 * it tells the others.
 *
 * @returns how to stop
 */
export function followChanges(
  queries: Pick<QueryClient, 'invalidateQueries'>,
  tabs: Pick<Tabs, 'alone' | 'tell' | 'hear'>,
  /** The server is back, or may be: what was changed meanwhile is not known. */
  onBack: () => void,
  /** Where somebody is, as the server tells it. */
  onHere: (json: string) => void,
  open: (path: string) => EventSource = (path) => new EventSource(path),
): () => void {
  const waiting = new Set<string>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = (): void => {
    timer = undefined;
    const keys = [...waiting].map(keysOf);
    waiting.clear();
    if (keys.includes('all')) {
      onBack();
      return void queries.invalidateQueries();
    }
    for (const key of new Map(keys.flat().map((one) => [String(one), one])).values())
      if (typeof key !== 'string') void queries.invalidateQueries({ queryKey: key });
  };
  const changed = (change: string): void => {
    if (change.startsWith(HERE)) return onHere(change.slice(HERE.length));
    waiting.add(change);
    timer ??= setTimeout(look, TOGETHER_MS);
  };
  const stopHearing = tabs.hear((news) => {
    if (news.startsWith(NEWS)) changed(news.slice(NEWS.length));
  });
  let isOver = false;
  let end: () => void = () => undefined;
  void tabs.alone('changes', () => {
    if (isOver) return Promise.resolve();
    return new Promise<void>((resolve) => {
      const source = open(pathOf(routes.followChanges));
      let hasMissed = false;
      const tell = (change: string): void => {
        changed(change);
        tabs.tell(`${NEWS}${change}`);
      };
      // What was changed while nobody listened is not known.
      source.onerror = () => {
        hasMissed = true;
      };
      source.onopen = () => {
        if (hasMissed) tell('anything');
        hasMissed = false;
      };
      source.onmessage = ({ data }: MessageEvent<string>) => tell(data);
      end = () => {
        source.close();
        resolve();
      };
    });
  });
  return () => {
    isOver = true;
    clearTimeout(timer);
    stopHearing();
    end();
  };
}
