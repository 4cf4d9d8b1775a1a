import {
  MAX_KEPT_POINTS,
  routes,
  traceOf,
  type AddTrace,
  type ListedTrace,
  type StoredTrace,
} from '@kobran/contract';
import {
  renormalised,
  sweepHash,
  type FarEndKind,
  type ReadTrace,
  type Result,
  type Trace,
} from '@kobran/core';
import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { wrap, type Remote } from 'comlink';
import { useEffect } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from './client.js';
import { useWaitingTraces } from './Device.js';
import { tracesKey, tracesOfRun, wholeTrace } from './queries.js';
import { useOpenRun } from './RunContext.js';
import type { Background } from '../background/background.worker.js';
import { openBackground } from '../background/openBackground.js';

/** What a sweep was taken of, and under which conditions. */
export interface TraceSetting {
  pieceId: string;
  far: FarEndKind;
  rained: boolean;
}

export interface Traces {
  all: readonly ListedTrace[];
  error: Error | null;
  /** Not asked for yet: there may be some. */
  isLoading: boolean;
  add: (trace: Trace, name: string, setting: TraceSetting) => void;
  makeBirth: (id: string) => void;
  remove: (trace: ListedTrace) => void;
  /** Is it still on its way to the server? Until then it can be looked at, and no more. */
  waits: (id: string) => boolean;
  /** A sweep of the list with its samples. */
  whole: (id: string) => Promise<StoredTrace>;
}

const requests = {
  birth: routes.makeBirth,
  remove: routes.removeTrace,
  restore: routes.restoreTrace,
};

/** What becomes of a sweep, and the entry which says so in the log. */
interface SweepChange {
  what: keyof typeof requests;
  traceId: string;
  kind: 'sweep' | 'sweep withdrawn' | 'birth record';
}

/** The sweeps of the open run: what the server has, and what is on its way. */
export function useTraces(): Traces {
  const { id: runId, writer } = useOpenRun();
  const queries = useQueryClient();
  const key = tracesKey(runId);
  const { data, error, isLoading } = useQuery(tracesOfRun(runId));
  const waiting = useWaitingTraces(runId);
  useEffect(() => void traceReader(), []);
  const kept = data ?? [];
  const wholeOf = async (traceId: string): Promise<StoredTrace> => {
    const own = waiting.find(({ id }) => id === traceId);
    return own ? { ...own, birth: false } : queries.ensureQueryData(wholeTrace(runId, traceId));
  };
  const { mutate } = useMutation({
    mutationFn: async ({ what, traceId, kind }: SweepChange) => {
      // Once deleted it is not answered any more; one whose samples cannot be read is changed without an entry.
      const whole = await wholeOf(traceId).catch(() => undefined);
      await call(requests[what], { id: runId, traceId });
      if (whole) writer.add({ kind, pieceId: whole.pieceId, name: whole.name, sha256: sweepHash(whole) });
    },
    onError: (problem) => toast.error(messageOf(problem), { duration: 12_000 }),
    onSettled: () => queries.invalidateQueries({ queryKey: key }),
  });
  return {
    all: [
      ...kept,
      ...waiting
        .filter(({ id }) => kept.every((one) => one.id !== id))
        .map((trace) => ({ ...trace, birth: false })),
    ],
    error,
    isLoading,
    waits: (id) => kept.every((one) => one.id !== id),
    add: (trace, name, setting) => {
      const body = asBody(trace, name, setting);
      writer.addTrace(body);
      writer.add({ kind: 'sweep', pieceId: setting.pieceId, name, sha256: sweepHash(body) });
    },
    whole: wholeOf,
    makeBirth: (traceId) => mutate({ what: 'birth', traceId, kind: 'birth record' }),
    remove: ({ id, name }) =>
      mutate(
        { what: 'remove', traceId: id, kind: 'sweep withdrawn' },
        {
          onSuccess: () =>
            toast(`${name} is deleted.`, {
              action: {
                label: 'Restore',
                onClick: () => mutate({ what: 'restore', traceId: id, kind: 'sweep' }),
              },
            }),
        },
      ),
  };
}

/** Sweeps of the list with their samples, as far as they are here. */
export function useWholeTraces(listed: readonly ListedTrace[]): {
  wholes: ReadonlyMap<string, StoredTrace>;
  error: Error | null;
} {
  const { id: runId } = useOpenRun();
  const waiting = useWaitingTraces(runId);
  const answers = useQueries({
    queries: listed.map(({ id }) => ({
      ...wholeTrace(runId, id),
      enabled: waiting.every((one) => one.id !== id),
    })),
  });
  const wholes = listed.flatMap((one, k): [string, StoredTrace][] => {
    const samples = answers[k].data ?? waiting.find(({ id }) => id === one.id);
    return samples ? [[one.id, samples as StoredTrace]] : [];
  });
  return { wholes: new Map(wholes), error: answers.find(({ error }) => error)?.error ?? null };
}

function asBody(trace: Trace, name: string, setting: TraceSetting): Omit<AddTrace, 'id' | 'by' | 'at'> {
  const { s21, s12, s22 } = trace.s;
  const plain = ({ re, im }: { re: Float64Array; im: Float64Array }) => ({ re: [...re], im: [...im] });
  return {
    ...setting,
    name,
    referenceOhm: trace.referenceOhm,
    frequencyHz: [...trace.frequencyHz],
    s11: plain(trace.s.s11),
    ...(s21 ? { s21: plain(s21) } : {}),
    ...(s12 ? { s12: plain(s12) } : {}),
    ...(s22 ? { s22: plain(s22) } : {}),
  };
}

/** A kept trace against the impedance of its run: what was swept with another reference is renormalised before it is judged. */
export const traceAgainst = (kept: StoredTrace, referenceOhm: number): Trace =>
  renormalised(traceOf(kept), referenceOhm);

let reader: Remote<Background> | undefined;

/** The worker which reads files; it is fetched once, so that files can be read while the server is away. */
const traceReader = (): Remote<Background> => (reader ??= wrap<Background>(openBackground()));

/** Reads a Touchstone file in a worker. */
export const readTraceFile = async (file: File): Promise<Result<ReadTrace>> =>
  traceReader().read(await file.text(), file.name, MAX_KEPT_POINTS);
