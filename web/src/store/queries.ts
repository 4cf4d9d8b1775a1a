import type { JobDocument, JobSummary, RunDocument } from '@kobran/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { ask } from './client.js';

/** Where a run, and a job, is kept in the cache. */
export const runKey = (id: string): [string, string] => ['run', id];
export const jobKey = (id: string): [string, string] => ['job', id];

export const useJobs = (deleted = false): UseQueryResult<JobSummary[]> =>
  useQuery({
    queryKey: ['jobs', { deleted }],
    queryFn: () => ask<JobSummary[]>('GET', `/api/jobs${deleted ? '?deleted=true' : ''}`),
  });

/** A job with its runs; nothing is asked while the id is not known. */
export const useJob = (id: string): UseQueryResult<JobDocument> =>
  useQuery({
    queryKey: jobKey(id),
    queryFn: () => ask<JobDocument>('GET', `/api/jobs/${id}`),
    enabled: id !== '',
  });

/** A run; nothing is asked while the id is not known. */
export const useRun = (id: string): UseQueryResult<RunDocument> =>
  useQuery({
    queryKey: runKey(id),
    queryFn: () => ask<RunDocument>('GET', `/api/runs/${id}`),
    enabled: id !== '',
  });

/** A change of jobs or runs; everything shown is read again afterwards. */
export function useChange<Input, Output>(
  change: (input: Input) => Promise<Output>,
): UseMutationResult<Output, Error, Input> {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => queries.invalidateQueries() });
}
