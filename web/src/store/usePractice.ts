import { defaultPractice, type Practice } from '@kobran/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { usePracticeChange } from './Device.js';
import type { PracticeChange } from './practiceChanges.js';
import { shopPracticeOf, useJob } from './queries.js';
import { useOpenRun } from './RunContext.js';

/** The practice of a job and how to change it: shown at once, kept on this device until the server has it. */
export function useJobPractice(jobId: string): [Practice, (change: PracticeChange) => void] {
  const { data } = useJob(jobId);
  const [waiting, change] = usePracticeChange(jobId);
  const practice = data?.practice ?? defaultPractice;
  return [useMemo(() => ({ ...practice, ...waiting }), [practice, waiting]), change];
}

/** The practice of the open run’s job. */
export const usePractice = (): [Practice, (change: PracticeChange) => void] =>
  useJobPractice(useOpenRun().jobId);

/** How the whole shop works, and how to change it: a new job starts from it. */
export function useShopPractice(): [Practice | undefined, (change: PracticeChange) => void] {
  const { data } = useQuery(shopPracticeOf);
  const [waiting, change] = usePracticeChange('');
  const practice = data?.practice;
  return [useMemo(() => practice && { ...practice, ...waiting }, [practice, waiting]), change];
}
