import { useQueryClient } from '@tanstack/react-query';
import { useEffect, type ComponentType, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { onSignedOut } from '../store/client.js';
import { useDevice } from '../store/Device.js';
import { askMe, forget, useMe } from '../store/me.js';
import { usePreferences } from '../ui/Preferences.js';

/**
 * Every question that is under way is refused when a device was signed out, and each refusal says so. Begun anew for each of them, asking who is
 * signed in would never come to its answer.
 */
function oneAtATime(act: () => Promise<void>): () => void {
  let isUnderWay = false;
  return () => {
    if (isUnderWay) return;
    isUnderWay = true;
    void act().finally(() => {
      isUnderWay = false;
    });
  };
}

/** Links which lead in. */
const WAYS_IN = new Set(['/join', '/look']);

/**
 * Lets the crew in: whoever has to sign in does so first, and goes on where they were. A customer sees the site of the link and nothing else.
 * While it is not known who asks, the screen is shown: the server gives nothing to who may not have it.
 */
export function Entrance({
  signIn: SignIn,
  look: Look,
  children,
}: {
  signIn: ComponentType;
  look: ComponentType;
  children: ReactNode;
}): ReactNode {
  const me = useMe();
  const { signInAs, set } = usePreferences();
  const { pathname } = useLocation();
  const queries = useQueryClient();
  const { keeper } = useDevice();
  const name = me?.kind === 'member' ? me.name : undefined;
  useEffect(() => {
    signInAs(name);
    // What is entered before the next page knows who is signed in has their name too, not one that was typed here once.
    if (name !== undefined) set({ name });
  }, [signInAs, set, name]);
  useEffect(() => {
    const forgetAll = oneAtATime(() => forget(queries, keeper));
    const ask = oneAtATime(() => askMe(queries));
    return onSignedOut((hasEnded) => {
      // Signed out from elsewhere, the device may be in other hands.
      if (hasEnded) forgetAll();
      ask();
    });
  }, [queries, keeper]);
  if (WAYS_IN.has(pathname)) return children;
  if (me?.kind === 'out') return <SignIn />;
  if (me?.kind === 'viewer') return <Look />;
  return children;
}
