import type { JobDocument, ReplaceJob } from '@kobran/contract';
import type { Practice } from '@kobran/core';
import { toast } from 'sonner';
import { ask, said } from '../api/client.js';
import { useChange, useJob } from '../api/queries.js';
import { useOpenRun } from './RunContext.js';

/** The shop’s schools of this job, and how to choose another. */
export function usePractice(): [Practice, (change: Partial<Practice>) => void] {
  const { jobId, practice } = useOpenRun();
  const job = useJob(jobId);
  const replace = useChange((body: ReplaceJob) => ask<JobDocument>('PUT', `/api/jobs/${jobId}`, body));
  return [
    practice,
    (change) => {
      if (!job.data) return;
      const { version, name, site } = job.data;
      replace.mutate(
        { version, name, site, practice: { ...practice, ...change } },
        { onError: (error) => toast.error(said(error)) },
      );
    },
  ];
}
