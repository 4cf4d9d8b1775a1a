import { routes, type Me } from '@kobran/contract';
import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { call } from './client.js';
import { useDevice } from './Device.js';
import type { Keeper } from './kept/keeper.js';
import { MEMBER } from './kept/keys.js';

const ME = ['me'];

/** Who is asking, as far as it is known: at this machine somebody who need not sign in, or one of the crew, a customer, nobody. */
export const useMe = (): Me | undefined =>
  useQuery({ queryKey: ME, queryFn: () => call(routes.readMe), staleTime: 60_000 }).data;

/** May they do what undoes the work of others, and say who may come in? At the machine itself everybody may. */
export function useIsOwner(): boolean {
  const me = useMe();
  return me?.kind === 'here' || (me?.kind === 'member' && me.role === 'owner');
}

/** Asks again who is signed in here. */
export const askMe = (queries: QueryClient): Promise<void> => queries.invalidateQueries({ queryKey: ME });

/** In a script of its own: it is rarely wanted. */
export const forget = async (queries: QueryClient, keeper: Keeper): Promise<void> =>
  (await import('./forgetAnswers.js')).forgetAnswers(queries, keeper);

/** Whose a session is: what one has read is not shown to another. */
const ownerOf = (me: Me): string => {
  if (me.kind === 'member') return me.id;
  return me.kind === 'viewer' ? `${me.jobId} ${me.whom}` : '';
};

/** What follows when somebody has come in: nothing of who was here before is shown. */
export function useCameIn(): (me: Me) => Promise<void> {
  const queries = useQueryClient();
  const { keeper } = useDevice();
  return useCallback(
    async (me) => {
      if ((await keeper.get(MEMBER)) !== ownerOf(me)) {
        await forget(queries, keeper);
        await keeper.put(MEMBER, ownerOf(me));
      }
      queries.setQueryData(ME, me);
      await queries.invalidateQueries();
    },
    [queries, keeper],
  );
}

/** Signs this device out; what waits to be sent stays here until its writer comes back. */
export function useSignOut(): () => Promise<void> {
  const queries = useQueryClient();
  const { keeper } = useDevice();
  return useCallback(async () => {
    await call(routes.signOut);
    await forget(queries, keeper);
    await askMe(queries);
  }, [queries, keeper]);
}
