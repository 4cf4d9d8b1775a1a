import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { messageOf } from '../../store/client.js';
import { useDevice } from '../../store/Device.js';
import { ofThisDevice } from '../../store/keepAnswers.js';
import { alongKey } from '../../store/kept/keys.js';
import { takeAlong, takenSites, type TakenSite } from '../../store/takeAlong.js';

const TAKEN = ['taken sites'];

interface TakenSites {
  sites: readonly TakenSite[];
  /** The site which is being taken, and how much of it is here, 0 to 1. */
  busy: { jobId: string; share: number } | undefined;
  problem: string;
  take: (jobId: string) => Promise<void>;
  leave: (jobId: string) => Promise<void>;
}

/** Which sites this device has with it, and how to take one. */
export function useTakenSites(): TakenSites {
  const { keeper } = useDevice();
  const queries = useQueryClient();
  const { data: sites = [] } = useQuery({
    queryKey: TAKEN,
    queryFn: () => takenSites(keeper),
    meta: ofThisDevice,
  });
  const [busy, setBusy] = useState<TakenSites['busy']>();
  const [problem, setProblem] = useState('');
  const again = (): Promise<void> => queries.invalidateQueries({ queryKey: TAKEN });
  return {
    sites,
    busy,
    problem,
    take: async (jobId) => {
      if (busy) return;
      setProblem('');
      setBusy({ jobId, share: 0 });
      try {
        // Asked here, where it is plain what for; refused, everything works, and the browser may clear it when room is short.
        await navigator.storage.persist();
        await takeAlong(queries, keeper, jobId, (done, of) => setBusy({ jobId, share: done / of }));
        await again();
      } catch (error) {
        setProblem(messageOf(error));
      } finally {
        setBusy(undefined);
      }
    },
    leave: async (jobId) => {
      await keeper.remove(alongKey(jobId));
      await again();
    },
  };
}
