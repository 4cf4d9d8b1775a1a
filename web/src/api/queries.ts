import type { JobDocument, JobSummary, RunDocument } from '@kobran/contract';
import { queryOptions, useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask } from './client.js';

export const jobsQuery = (deleted = false) => queryOptions({ queryKey: ['jobs', { deleted }], queryFn: () => ask<JobSummary[]>('GET', `/api/jobs${deleted ? '?deleted=true' : ''}`) });
export const jobQuery = (id: string) => queryOptions({ queryKey: ['job', id], queryFn: () => ask<JobDocument>('GET', `/api/jobs/${id}`) });
export const runQuery = (id: string) => queryOptions({ queryKey: ['run', id], queryFn: () => ask<RunDocument>('GET', `/api/runs/${id}`) });

export const useJob = (id: string) => useQuery(jobQuery(id));

/** A change of jobs or runs; everything shown is read again afterwards. */
export function useChange<Input, Output>(change: (input: Input) => Promise<Output>): UseMutationResult<Output, Error, Input> {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => queries.invalidateQueries() });
}
