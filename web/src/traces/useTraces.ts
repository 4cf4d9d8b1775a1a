import { MOST_KEPT_POINTS, type AddTrace, type StoredTrace } from '@kobran/contract';
import { type FarEndKind, type ReadTrace, type Result, type Trace } from '@kobran/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { wrap } from 'comlink';
import { toast } from 'sonner';
import { ask, said } from '../api/client.js';
import { usePreferences } from '../preferences/Preferences.js';
import { useOpenRun } from '../runs/RunContext.js';
import type { TraceWorker } from './trace.worker.js';

/** What a sweep was taken of, and under which conditions. */
export interface TraceSetting {
  pieceId: string;
  far: FarEndKind;
  rained: boolean;
}

export interface Traces {
  all: readonly StoredTrace[];
  error: Error | null;
  add: (trace: Trace, name: string, setting: TraceSetting) => void;
  makeBirth: (id: string) => void;
  remove: (trace: StoredTrace) => void;
}

/** The sweeps of the open run. */
export function useTraces(): Traces {
  const { id: runId } = useOpenRun();
  const { name: by } = usePreferences();
  const queries = useQueryClient();
  const key = ['traces', runId];
  const path = `/api/runs/${runId}/traces`;
  const { data, error } = useQuery({ queryKey: key, queryFn: () => ask<StoredTrace[]>('GET', path) });
  const { mutate } = useMutation({
    mutationFn: ({ method, to, body }: { method: 'POST' | 'DELETE'; to: string; body?: AddTrace }) =>
      ask('' === to ? 'POST' : method, `${path}${to}`, body),
    onError: (problem) => toast.error(said(problem), { duration: 12_000 }),
    onSettled: () => queries.invalidateQueries({ queryKey: key }),
  });
  return {
    all: data ?? [],
    error,
    add: (trace, name, setting) =>
      mutate({ method: 'POST', to: '', body: asBody(trace, name, setting, by.trim()) }),
    makeBirth: (id) => mutate({ method: 'POST', to: `/${id}/birth` }),
    remove: ({ id, name }) =>
      mutate(
        { method: 'DELETE', to: `/${id}` },
        {
          onSuccess: () =>
            toast(`${name} is deleted.`, {
              action: {
                label: 'Bring it back',
                onClick: () => mutate({ method: 'POST', to: `/${id}/restore` }),
              },
            }),
        },
      ),
  };
}

function asBody(trace: Trace, name: string, setting: TraceSetting, by: string): AddTrace {
  const { s21, s12, s22 } = trace.s;
  const plain = ({ re, im }: { re: Float64Array; im: Float64Array }) => ({ re: [...re], im: [...im] });
  return {
    ...setting,
    id: crypto.randomUUID(),
    name,
    birth: false,
    by,
    at: new Date().toISOString(),
    referenceOhm: trace.referenceOhm,
    frequencyHz: [...trace.frequencyHz],
    s11: plain(trace.s.s11),
    ...(s21 ? { s21: plain(s21) } : {}),
    ...(s12 ? { s12: plain(s12) } : {}),
    ...(s22 ? { s22: plain(s22) } : {}),
  };
}

/** A kept trace as core computes with it. */
export function traceOf({ frequencyHz, referenceOhm, s11, s21, s12, s22 }: StoredTrace): Trace {
  const series = ({ re, im }: { re: number[]; im: number[] }) => ({
    re: Float64Array.from(re),
    im: Float64Array.from(im),
  });
  return {
    ports: s21 ? 2 : 1,
    referenceOhm,
    frequencyHz: Float64Array.from(frequencyHz),
    s: {
      s11: series(s11),
      ...(s21 ? { s21: series(s21) } : {}),
      ...(s12 ? { s12: series(s12) } : {}),
      ...(s22 ? { s22: series(s22) } : {}),
    },
  };
}

/** Reads a Touchstone file in a worker. */
export async function readTraceFile(file: File): Promise<Result<ReadTrace>> {
  const worker = new Worker(new URL('./trace.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<TraceWorker>(worker).read(await file.text(), file.name, MOST_KEPT_POINTS);
  } finally {
    worker.terminate();
  }
}
