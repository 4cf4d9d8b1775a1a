import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { messageOf } from '../../store/client.js';
import { askMe } from '../../store/me.js';

export const CREW = ['crew'];
export const CREW_LOG = ['crew log'];

/** Reads again what stands of the crew, and who one is oneself. */
export function useCrewAgain(): () => Promise<void> {
  const queries = useQueryClient();
  return async () => {
    for (const queryKey of [CREW, CREW_LOG]) await queries.invalidateQueries({ queryKey });
    await askMe(queries);
  };
}

/** Changes something of the crew, one thing at a time; what stands afterwards is read again, and what failed is said. */
export function useCrewChange(): { busy: boolean; change: (act: () => Promise<void>) => void } {
  const readAgain = useCrewAgain();
  const [busy, setBusy] = useState(false);
  async function run(act: () => Promise<void>): Promise<void> {
    setBusy(true);
    try {
      await act();
    } catch (error) {
      toast.error(messageOf(error));
    } finally {
      setBusy(false);
      await readAgain();
    }
  }
  return {
    busy,
    change: (act) => {
      if (!busy) void run(act);
    },
  };
}
