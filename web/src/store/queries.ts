import {
  routes,
  type BoardPage,
  type BoardQuery,
  type DueInspection,
  type JobDocument,
  type JobSummary,
  type ListedTrace,
  type RunDocument,
  type ShopDocument,
  type ShopLogDocument,
  type ShopPracticeDocument,
  type SignedDesign,
  type StoredTrace,
} from '@kobran/contract';
import type { KeptLog } from '@kobran/core';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { call } from './client.js';

/** Where a run, and a job, is kept in the cache. */
export const runKey = (id: string): [string, string] => ['run', id];
export const jobKey = (id: string): [string, string] => ['job', id];
/** A list of runs as it is asked for. */
export const boardKey = (query: BoardQuery): [string, BoardQuery] => ['board', query];
export const boardPagesKey = (query: BoardQuery): [string, BoardQuery] => ['board pages', query];
export const logKey = (runId: string): [string, string] => ['log', runId];
export const revisionsKey = (runId: string): [string, string] => ['revisions', runId];
export const SHOP_PRACTICE = ['shop practice'];
export const SHOP_LOG = ['shop log'];
/** Apart from the list: what is in it changes, samples do not. */
export const traceKey = (runId: string, traceId: string): string[] => ['trace', runId, traceId];
export const tracesKey = (runId: string): [string, string] => ['traces', runId];

export const useJobs = (deleted = false): UseQueryResult<JobSummary[]> =>
  useQuery({
    queryKey: ['jobs', { deleted }],
    queryFn: () => call(routes.listJobs, { query: { deleted } }),
  });

/** A question to the server, as the cache takes it. */
export interface Question<Answer> {
  queryKey: readonly unknown[];
  queryFn: () => Promise<Answer>;
  staleTime?: number;
}

export const jobOf = (id: string): Question<JobDocument> => ({
  queryKey: jobKey(id),
  queryFn: () => call(routes.readJob, { id }),
});

/** A job with its runs; nothing is asked while the id is not known. */
export const useJob = (id: string): UseQueryResult<JobDocument> =>
  useQuery({ ...jobOf(id), enabled: id !== '' });

export const runOf = (id: string): Question<RunDocument> => ({
  queryKey: runKey(id),
  queryFn: () => call(routes.readRun, { id }),
});

/** A run; nothing is asked while the id is not known. */
export const useRun = (id: string): UseQueryResult<RunDocument> =>
  useQuery({ ...runOf(id), enabled: id !== '' });

/** The log of a run as the server keeps it, with its chain. */
export const logOf = (id: string): Question<KeptLog> => ({
  queryKey: logKey(id),
  queryFn: () => call(routes.readLog, { id }),
});

/** Designs of a run as they were handed over. */
export const revisionsOfRun = (id: string): Question<SignedDesign[]> => ({
  queryKey: revisionsKey(id),
  queryFn: () => call(routes.listRevisions, { id }),
});

export const tracesOfRun = (id: string): Question<ListedTrace[]> => ({
  queryKey: tracesKey(id),
  queryFn: () => call(routes.listTraces, { id }),
});

/** A sweep with its samples. They never change: once read they are not asked for again. */
export const wholeTrace = (runId: string, traceId: string): Question<StoredTrace> => ({
  queryKey: traceKey(runId, traceId),
  queryFn: () => call(routes.readTrace, { id: runId, traceId }),
  staleTime: Infinity,
});

/** A list of runs page by page, as the cache takes it. */
interface BoardPages {
  queryKey: readonly unknown[];
  queryFn: (context: { pageParam: string }) => Promise<BoardPage>;
  initialPageParam: string;
  getNextPageParam: (last: BoardPage) => string | undefined;
}

/** Jobs and runs as they are asked for. */
export const boardPages = (wanted: BoardQuery): BoardPages => ({
  queryKey: boardPagesKey(wanted),
  queryFn: ({ pageParam }) =>
    call(routes.readBoard, { query: { ...wanted, ...(pageParam === '' ? {} : { after: pageParam }) } }),
  initialPageParam: '',
  getNextPageParam: ({ next }) => next,
});

export const inspectionsSoon: Question<DueInspection[]> = {
  queryKey: ['inspections'],
  queryFn: () => call(routes.listInspections, { query: { soon: 'true' } }),
};
export const peopleQuery: Question<string[]> = {
  queryKey: ['people'],
  queryFn: () => call(routes.listPeople),
};
export const shopOf: Question<ShopDocument> = {
  queryKey: ['shop'],
  queryFn: () => call(routes.readShop),
  staleTime: 30_000,
};
export const shopPracticeOf: Question<ShopPracticeDocument> = {
  queryKey: SHOP_PRACTICE,
  queryFn: () => call(routes.readShopPractice),
};

/** What failed, what was used and how long it took, in all jobs. */
export const shopLogOf: Question<ShopLogDocument> = {
  queryKey: SHOP_LOG,
  queryFn: () => call(routes.readShopLog),
};

/** A change of jobs or runs; everything shown is read again afterwards. */
export function useChange<Input, Output>(
  change: (input: Input) => Promise<Output>,
): UseMutationResult<Output, Error, Input> {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => queries.invalidateQueries() });
}
