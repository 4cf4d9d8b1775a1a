import { pathOf, routes } from '@kobran/contract';
import { useQuery } from '@tanstack/react-query';
import { CalendarDays } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { inspectionsSoon } from '../../store/queries.js';
import { sayDay } from '../../ui/dates.js';

/** What is looked at again in all jobs: said on the board when it is overdue or soon due. */
export function Inspections(): ReactNode {
  const { data: soon = [] } = useQuery(inspectionsSoon);
  if (soon.length === 0) return null;
  const overdue = soon.filter((one) => one.overdue).length;
  const rest = soon.length - overdue;
  const words = [
    ...(overdue > 0 ? [`${overdue} ${overdue === 1 ? 'inspection' : 'inspections'} overdue`] : []),
    ...(rest > 0 ? [`${rest} due within two months`] : []),
  ].join(', ');
  return (
    <details className="mt-4 border-y border-rule py-2">
      <summary className={`cursor-pointer font-semibold ${overdue > 0 ? 'text-stop' : ''}`}>{words}</summary>
      <ul className="mt-2">
        {soon.map(({ id, runId, run, job, what, due, overdue: isOver }) => (
          <li
            key={id}
            className="grid gap-x-6 border-t border-rule py-1.5 sm:grid-cols-[12rem_minmax(0,1fr)_minmax(0,1.5fr)]"
          >
            <span className={isOver ? 'font-semibold text-stop' : ''}>
              {sayDay(due)}
              {isOver ? ', overdue' : ''}
            </span>
            <span>{what}</span>
            <span>
              <Link className="underline underline-offset-4" to={`/runs/${runId}/visit`}>
                {run}
              </Link>{' '}
              <span className="text-muted">{job}</span>
            </span>
          </li>
        ))}
      </ul>
      <a className="button mt-2" href={pathOf(routes.readWholeCalendar)} download>
        <CalendarDays size={16} aria-hidden /> Calendar of all inspections
      </a>
    </details>
  );
}
