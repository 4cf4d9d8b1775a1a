import {
  routes,
  type BoardQuery,
  type JobDocument,
  type JobSummary,
  type RunDocument,
} from '@kobran/contract';
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
export const SHOP_PRACTICE = ['shop practice'];
/** Apart from the list: what is in it changes, samples do not. */
export const traceKey = (runId: string, traceId: string): string[] => ['trace', runId, traceId];
export const tracesKey = (runId: string): [string, string] => ['traces', runId];

export const useJobs = (deleted = false): UseQueryResult<JobSummary[]> =>
  useQuery({
    queryKey: ['jobs', { deleted }],
    queryFn: () => call(routes.listJobs, { query: { deleted } }),
  });

/** A job with its runs; nothing is asked while the id is not known. */
export const useJob = (id: string): UseQueryResult<JobDocument> =>
  useQuery({ queryKey: jobKey(id), queryFn: () => call(routes.readJob, { id }), enabled: id !== '' });

/** A run; nothing is asked while the id is not known. */
export const useRun = (id: string): UseQueryResult<RunDocument> =>
  useQuery({ queryKey: runKey(id), queryFn: () => call(routes.readRun, { id }), enabled: id !== '' });

/** A change of jobs or runs; everything shown is read again afterwards. */
export function useChange<Input, Output>(
  change: (input: Input) => Promise<Output>,
): UseMutationResult<Output, Error, Input> {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => queries.invalidateQueries() });
}
