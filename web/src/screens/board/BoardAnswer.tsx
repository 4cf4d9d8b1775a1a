import type { BoardPage } from '@kobran/contract';
import type { ReactNode } from 'react';
import { useShowOnly, type Wanted } from './useBoard.js';

/** What was found, where something is looked for, and the way back to all. */
export function BoardAnswer({ pages, wanted }: { pages: readonly BoardPage[]; wanted: Wanted }): ReactNode {
  const showOnly = useShowOnly();
  const [first] = pages;
  const count = pages.reduce((sum, { rows }) => sum + rows.filter(({ run }) => run).length, 0);
  const isOneJob = wanted.job !== undefined && Object.keys(wanted).length === 1;
  return (
    <div role="status" className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
      <p>
        {first.near && (
          <span className="font-semibold">Nothing has “{wanted.search}”; these come near. </span>
        )}
        {isOneJob
          ? `Only ${first.rows[0]?.job.name ?? 'this job'}`
          : count === 0
            ? `No run matches${wanted.search ? ` “${wanted.search}”` : ''}`
            : `${count}${pages.at(-1)?.next ? ' and more' : ''} ${count === 1 ? 'run' : 'runs'}`}
        {first.workingOut > 0 && (
          <span className="text-muted"> · {first.workingOut} runs are being worked out again</span>
        )}
      </p>
      <button className="button" onClick={() => showOnly('')}>
        {isOneJob ? 'All jobs' : 'All runs'}
      </button>
    </div>
  );
}
