import type { Inspection } from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { sayDay } from '../ui/dates.js';

/** What is looked at again, the first due first; the run too where it is of several. */
export function InspectionList({
  due,
  ofRun = false,
}: {
  due: readonly (Inspection & { job?: string })[];
  /** All are of the run which is open. */
  ofRun?: boolean;
}): ReactNode {
  return (
    <ul>
      {due.map(({ id, runId, run, job, what, due: at, overdue }) => (
        <li
          key={id}
          className={`grid gap-x-6 border-t border-rule py-1.5 first:border-t-0 ${ofRun ? 'sm:grid-cols-[12rem_minmax(0,1fr)]' : 'sm:grid-cols-[12rem_minmax(0,1fr)_minmax(0,1.5fr)]'}`}
        >
          <span className={overdue ? 'font-semibold text-stop' : ''}>
            {sayDay(at)}
            {overdue ? ', overdue' : ''}
          </span>
          <span>{what}</span>
          {!ofRun && (
            <span>
              <Link className="underline underline-offset-4" to={`/runs/${runId}/visit`}>
                {run}
              </Link>{' '}
              {job !== undefined && <span className="text-muted">{job}</span>}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}
