import type { BoardPage, BoardQuery, BoardRow, BoardRun } from '@kobran/contract';
import {
  useInfiniteQuery,
  keepPreviousData,
  type UseInfiniteQueryResult,
  type InfiniteData,
} from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { boardPages } from '../../store/queries.js';
import { useAddress } from '../../ui/useAddress.js';

/** What somebody looks for; it stands in the address, so that back leads back to it. */
export type Wanted = Pick<BoardQuery, 'search' | 'stage' | 'problem' | 'due' | 'person' | 'job'>;

const names = ['search', 'stage', 'problem', 'due', 'person', 'job'] as const;

/** What is asked for now, and how to ask for something else; an empty word asks for nothing. */
export function useWanted(): [Wanted, (change: { [Name in keyof Wanted]?: string }) => void] {
  const [address, change] = useAddress();
  const wanted = useMemo(
    () =>
      Object.fromEntries(
        names.flatMap((name) => {
          const value = address.get(name);
          return value ? [[name, value]] : [];
        }),
      ) as Wanted,
    [address],
  );
  return [wanted, change];
}

/** Shows one job and nothing else; under no id all of them. */
export function useShowOnly(): (jobId: string) => void {
  const [, want] = useWanted();
  return (jobId) => want({ search: '', stage: '', problem: '', due: '', person: '', job: jobId });
}

/** So long after the last letter the words are asked for, ms. */
const TYPING_MS = 150;

/** As {@link useWanted}, once nothing more is typed: nobody is asked for every letter. */
export function useSettledWish(): Wanted {
  const [{ search = '', ...rest }] = useWanted();
  const [settled, setSettled] = useState(search.trim());
  useEffect(() => {
    const timer = setTimeout(() => setSettled(search.trim()), TYPING_MS);
    return () => clearTimeout(timer);
  }, [search]);
  return settled === '' ? rest : { ...rest, search: settled };
}

/** A job with its runs, as far as they are read. */
export interface BoardJob {
  job: BoardRow['job'];
  runs: BoardRun[];
}

export const useBoard = (wanted: Wanted): UseInfiniteQueryResult<InfiniteData<BoardPage>> =>
  useInfiniteQuery({ ...boardPages(wanted), placeholderData: keepPreviousData });

/** Lines one after the other as jobs with their runs. */
export function byJob(rows: readonly BoardRow[]): BoardJob[] {
  const jobs: BoardJob[] = [];
  for (const { job, run } of rows) {
    if (jobs.at(-1)?.job.id !== job.id) jobs.push({ job, runs: [] });
    if (run) jobs.at(-1)?.runs.push(run);
  }
  return jobs;
}
