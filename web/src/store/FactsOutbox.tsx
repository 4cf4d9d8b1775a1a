import type { AddLogEntry, AddReading, AddTrace } from '@kobran/contract';
import type { Facts } from '@kobran/core';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, use, useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { ask, Refused } from './client.js';
import { usePreferences } from '../ui/Preferences.js';

/** A reading, log entry or sweep on its way to the server. */
type Waiting = { runId: string } & (
  | { kind: 'reading'; body: AddReading }
  | { kind: 'log'; body: AddLogEntry }
  | { kind: 'trace'; body: AddTrace }
);

/** Where each kind goes, under its run. */
const paths: Record<Waiting['kind'], string> = { reading: 'readings', log: 'log', trace: 'traces' };

interface Outbox {
  waiting: readonly Waiting[];
  put: (item: Waiting) => void;
}

const KEY = 'kobran.outbox';
const RETRY_MS = 2_500;
const Context = createContext<Outbox | undefined>(undefined);

/**
 * Sends readings and log entries in order, and keeps them on this device until the server has them.
 * Each carries its own id, so that one sent twice is kept once.
 */
export function FactsProvider({ children }: { children: ReactNode }): ReactNode {
  const queries = useQueryClient();
  const [waiting, setWaiting] = useState<readonly Waiting[]>(
    () => JSON.parse(localStorage.getItem(KEY) ?? '[]') as Waiting[],
  );
  const [failures, setFailures] = useState(0);
  const first = waiting.at(0);

  useEffect(() => {
    try {
      localStorage.setItem(KEY, JSON.stringify(waiting));
    } catch {
      // The browser’s store is full, which only long sweeps can do; they go on waiting in memory.
      toast.warning(
        'This device has no room left for what waits. Keep the page open until the server has it.',
      );
    }
  }, [waiting]);

  useEffect(() => {
    if (!first) return undefined;
    let over = false;
    const done = (): void => setWaiting((now) => now.filter(({ body }) => body.id !== first.body.id));
    const timer = setTimeout(
      () => {
        const path = `/api/runs/${first.runId}/${paths[first.kind]}`;
        ask('POST', path, first.body)
          .then(async () => {
            await queries.invalidateQueries({
              queryKey: [first.kind === 'trace' ? 'traces' : 'run', first.runId],
            });
            setFailures(0);
            done();
          })
          .catch((error: unknown) => {
            if (error instanceof Refused && error.status < 500) {
              toast.error(`The server refused an entry. ${error.problem.message} ${error.problem.remedy}`, {
                duration: Infinity,
                closeButton: true,
              });
              done();
            } else if (!over) setFailures((n) => n + 1);
          });
      },
      failures === 0 ? 0 : RETRY_MS,
    );
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [first, failures, queries]);

  const put = useCallback((item: Waiting) => setWaiting((now) => [...now, item]), []);
  const value = useMemo(() => ({ waiting, put }), [waiting, put]);
  return <Context value={value}>{children}</Context>;
}

function useOutbox(): Outbox {
  const outbox = use(Context);
  if (!outbox) throw new Error('useOutbox outside its provider');
  return outbox;
}

/** How many entries the server has not got yet. */
export const useWaitingCount = (): number => useOutbox().waiting.length;

/** Sweeps of a run which the server has not got yet. */
export function useWaitingTraces(runId: string): AddTrace[] {
  const { waiting } = useOutbox();
  return useMemo(
    () => waiting.flatMap((item) => (item.kind === 'trace' && item.runId === runId ? [item.body] : [])),
    [waiting, runId],
  );
}

/** The facts of a run: what the server has, and what is on its way. */
export function useFacts(runId: string, kept: Facts): Facts {
  const { waiting } = useOutbox();
  return useMemo(() => {
    const known = new Set([...kept.readings, ...kept.log].map(({ id }) => id));
    const mine = waiting.filter((item) => item.runId === runId && !known.has(item.body.id));
    return {
      readings: [...kept.readings, ...mine.flatMap((item) => (item.kind === 'reading' ? [item.body] : []))],
      log: [...kept.log, ...mine.flatMap((item) => (item.kind === 'log' ? [item.body] : []))],
    };
  }, [kept, waiting, runId]);
}

export interface FactWriter {
  addReading: (reading: Pick<AddReading, 'pieceId' | 'expectation' | 'value'>) => void;
  addTrace: (trace: Omit<AddTrace, 'id' | 'by' | 'at'>) => void;
  addLog: (entry: Pick<AddLogEntry, 'kind' | 'about' | 'text' | 'end' | 'trim' | 'power'>) => void;
}

/** Writes facts of a run, signed with the name set at this device and the time now. */
export function useFactWriter(runId: string): FactWriter {
  const { put } = useOutbox();
  const { name } = usePreferences();
  return useMemo(() => {
    const signed = () => ({ id: crypto.randomUUID(), by: name.trim(), at: new Date().toISOString() });
    return {
      addReading: (reading) => put({ runId, kind: 'reading', body: { ...signed(), ...reading } }),
      addTrace: (trace) => put({ runId, kind: 'trace', body: { ...signed(), ...trace } }),
      addLog: (entry) => put({ runId, kind: 'log', body: { ...signed(), ...entry } }),
    };
  }, [put, runId, name]);
}
