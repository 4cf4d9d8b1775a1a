import { routes } from '@kobran/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { usePreferences } from '../ui/Preferences.js';
import { call } from './client.js';
import { later, useDevice, warn } from './Device.js';
import { IndexedAnswers } from './kept/answers.js';
import { SAY_MS } from './presence.js';

/** Tells the others where this page is, while somebody looks at it. */
function useSayHere(): void {
  const { tabs, presence } = useDevice();
  const { name } = usePreferences();
  const { pathname } = useLocation();
  useEffect(() => {
    const say = (path: string): void =>
      void call(routes.sayHere, { body: { id: tabs.id, name: name.trim(), path } }).catch(() => undefined); // Who is away is not here.
    const again = (): void => {
      presence.tidy();
      if (!document.hidden) say(pathname);
    };
    again();
    const timer = setInterval(again, SAY_MS);
    const left = (): void => say('');
    addEventListener('pagehide', left);
    return () => {
      clearInterval(timer);
      removeEventListener('pagehide', left);
    };
  }, [tabs, presence, name, pathname]);
}

/** Keeps this device and the server alike while the page is open: hears what others change, sends what was left, and fetches kept sites again. */
export function Following(): null {
  const queries = useQueryClient();
  const { keeper, tabs, presence } = useDevice();
  useSayHere();
  useEffect(() => {
    let over = false;
    let unfollow: () => void = () => undefined;
    const send = async (): Promise<void> =>
      (await import('./sendDrafts.js')).sendDrafts(queries, { keeper, tabs, later, warn });
    void (async () => {
      const { followChanges } = await import('./followChanges.js');
      if (over) return;
      unfollow = followChanges(
        queries,
        tabs,
        () => void send(),
        (here) => presence.heard(here),
      );
      await send();
      await (await import('./keepSite.js')).refreshKept(queries, { keeper, answers: new IndexedAnswers() });
    })();
    return () => {
      over = true;
      unfollow();
    };
  }, [queries, keeper, tabs, presence]);
  return null;
}
