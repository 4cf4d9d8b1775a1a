import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { messageOf } from '../../store/client.js';
import { useDevice } from '../../store/Device.js';
import { ofThisDevice } from '../../store/keepAnswers.js';
import { IndexedAnswers } from '../../store/kept/answers.js';
import { keptSiteKey } from '../../store/kept/keys.js';
import { keepSite, keptSites, type KeptSite } from '../../store/keepSite.js';

const KEPT = ['kept sites'];

interface KeptSites {
  sites: readonly KeptSite[];
  /** The site which is being fetched, and how much of it is here, 0 to 1. */
  busy: { jobId: string; share: number } | undefined;
  problem: string;
  keep: (jobId: string) => Promise<void>;
  remove: (jobId: string) => Promise<void>;
}

/** Which sites are kept on this device, and how to keep one. */
export function useKeptSites(): KeptSites {
  const { keeper } = useDevice();
  const queries = useQueryClient();
  const { data: sites = [] } = useQuery({
    queryKey: KEPT,
    queryFn: () => keptSites(keeper),
    meta: ofThisDevice,
  });
  const [busy, setBusy] = useState<KeptSites['busy']>();
  const [problem, setProblem] = useState('');
  const again = (): Promise<void> => queries.invalidateQueries({ queryKey: KEPT });
  return {
    sites,
    busy,
    problem,
    keep: async (jobId) => {
      if (busy) return;
      setProblem('');
      setBusy({ jobId, share: 0 });
      try {
        // Asked here, where it is plain what for; refused, everything works, and the browser may clear it when room is short.
        await navigator.storage.persist();
        await keepSite(queries, { keeper, answers: new IndexedAnswers() }, jobId, (done, of) =>
          setBusy({ jobId, share: done / of }),
        );
        await again();
      } catch (error) {
        setProblem(messageOf(error));
      } finally {
        setBusy(undefined);
      }
    },
    remove: async (jobId) => {
      await keeper.remove(keptSiteKey(jobId));
      await again();
    },
  };
}
