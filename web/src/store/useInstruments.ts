import { routes, type InstrumentsDocument, type KnownInstrument, type PutOnBench } from '@kobran/contract';
import type { BenchHands, InstrumentKind } from '@kobran/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from './client.js';

const KEY = ['instruments'];

export interface Instruments {
  document: InstrumentsDocument | undefined;
  error: Error | null;
  /** The first instrument of a kind, one that was connected before a simulated one. */
  first: (kind: InstrumentKind) => KnownInstrument | undefined;
  putOnBench: (wish: PutOnBench) => Promise<void>;
  touch: (hands: Partial<BenchHands>) => Promise<void>;
  clear: () => Promise<void>;
  /** Reads everything again, after something was connected or forgotten. */
  again: () => Promise<void>;
}

/** The instruments which can be asked, and what lies on the simulated bench. */
export function useInstruments(): Instruments {
  const queries = useQueryClient();
  const { data, error } = useQuery({
    queryKey: KEY,
    queryFn: () => call(routes.readInstruments),
  });
  const set = (document: InstrumentsDocument): void => {
    queries.setQueryData(KEY, document);
  };
  return {
    document: data,
    error,
    first: (kind) =>
      data?.instruments
        .toSorted((x, y) => Number(x.simulated) - Number(y.simulated))
        .find((one) => one.kind === kind),
    putOnBench: async (wish) => set(await call(routes.putOnBench, { body: wish })),
    touch: async (hands) => {
      if (!data?.bench) return;
      set(await call(routes.touchBench, { body: { ...data.bench.hands, ...hands } }));
    },
    clear: async () => set(await call(routes.clearBench)),
    again: () => queries.invalidateQueries({ queryKey: KEY }),
  };
}

/** Something under way with an instrument: one at a time, and what went wrong is said. */
export interface Doing {
  /** What is under way, in words; nothing while idle. */
  busy: string | undefined;
  run: (what: string, act: () => Promise<void>) => void;
}

/** One pair of hands: who sets the far end for one reading does not set it under another. */
let hands: Promise<unknown> = Promise.resolve();

export function useDoing(): Doing {
  const [busy, setBusy] = useState<string>();
  const run = useCallback((what: string, act: () => Promise<void>) => {
    setBusy(what);
    hands = hands
      .then(act)
      .catch((error: unknown) => toast.error(messageOf(error), { duration: 12_000 }))
      .finally(() => setBusy(undefined));
  }, []);
  return { busy, run };
}
