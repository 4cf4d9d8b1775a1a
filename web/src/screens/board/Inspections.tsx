import { pathOf, routes } from '@kobran/contract';
import { useQuery } from '@tanstack/react-query';
import { CalendarDays } from 'lucide-react';
import type { ReactNode } from 'react';
import { inspectionsSoon } from '../../store/queries.js';
import { InspectionList } from '../../frame/InspectionList.js';

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
      <div className="mt-2">
        <InspectionList due={soon} />
      </div>
      <a className="button mt-2" href={pathOf(routes.readWholeCalendar)} download>
        <CalendarDays size={16} aria-hidden /> Calendar of all inspections
      </a>
    </details>
  );
}
