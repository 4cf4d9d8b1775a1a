import { routes, type JobDocument, type ShopPracticeDocument } from '@kobran/contract';
import { defaultPractice, type Practice } from '@kobran/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { call, messageOf } from './client.js';
import { jobKey, useJob } from './queries.js';
import { useOpenRun } from './RunContext.js';

type Change = Partial<Practice>;

/**
 * The practice of a job and how to change it: shown at once, sent one after the other, taken back when the server refuses.
 */
export function useJobPractice(jobId: string): [Practice, (change: Change) => void] {
  const queries = useQueryClient();
  const { data } = useJob(jobId);
  const update = (change: (job: JobDocument) => JobDocument): void =>
    void queries.setQueryData<JobDocument>(jobKey(jobId), (job) => job && change(job));
  const { mutate } = useMutation({
    scope: { id: `practice ${jobId}` },
    mutationFn: (change: Change) => {
      const job = queries.getQueryData<JobDocument>(jobKey(jobId));
      if (!job) throw new Error('The job is not read yet; try once more.');
      const { version, name, site, practice } = job;
      return call(routes.replaceJob, {
        id: jobId,
        body: { version, name, site, practice: { ...practice, ...change } },
      });
    },
    onMutate: (change) => update((job) => ({ ...job, practice: { ...job.practice, ...change } })),
    onSuccess: ({ version }) => update((job) => ({ ...job, version })),
    onError: (error) => {
      toast.error(messageOf(error));
      return queries.invalidateQueries({ queryKey: jobKey(jobId) });
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['jobs'] }),
  });
  return [data?.practice ?? defaultPractice, (change) => mutate(change)];
}

/** The practice of the open run’s job. */
export const usePractice = (): [Practice, (change: Change) => void] => useJobPractice(useOpenRun().jobId);

const SHOP_PRACTICE = ['shop practice'];

/** How the whole shop works, and how to change it: a new job starts from it. Shown at once, sent one after the other. */
export function useShopPractice(): [Practice | undefined, (change: Change) => void] {
  const queries = useQueryClient();
  const { data } = useQuery({ queryKey: SHOP_PRACTICE, queryFn: () => call(routes.readShopPractice) });
  const { mutate } = useMutation({
    scope: { id: 'shop practice' },
    mutationFn: (change: Change) => {
      const now = queries.getQueryData<ShopPracticeDocument>(SHOP_PRACTICE);
      if (!now) throw new Error('The practice is not read yet; try once more.');
      return call(routes.replaceShopPractice, {
        body: { version: now.version, practice: { ...now.practice, ...change } },
      });
    },
    onMutate: (change) =>
      void queries.setQueryData<ShopPracticeDocument>(
        SHOP_PRACTICE,
        (now) => now && { ...now, practice: { ...now.practice, ...change } },
      ),
    onSuccess: ({ version }) =>
      void queries.setQueryData<ShopPracticeDocument>(SHOP_PRACTICE, (now) => now && { ...now, version }),
    onError: (error) => {
      toast.error(messageOf(error));
      return queries.invalidateQueries({ queryKey: SHOP_PRACTICE });
    },
  });
  return [data?.practice, (change) => mutate(change)];
}
