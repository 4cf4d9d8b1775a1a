import { formatFigure, formatLength, pointOf, type PullPlan, type Site, type WaySheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../ui/Preferences.js';

/** What it takes to pull each cable in: from which end, with what, and where the pull is made. */
export function Pulls({
  sheet: { way, pulls },
  site,
  jobId,
}: {
  sheet: WaySheet;
  site: Site;
  jobId: string;
}): ReactNode {
  if (pulls.length === 0) return null;
  const [first, last] = [pointOf(site, way.from).name, pointOf(site, way.to).name];
  return (
    <>
      <h3 className="mt-5 font-bold">Pulling</h3>
      <ul>
        {pulls.map((plan) => (
          <li key={plan.cable.runId} className="border-b border-rule py-1">
            <PullLine plan={plan} first={first} last={last} />
          </li>
        ))}
      </ul>
      <Link className="button mt-2 inline-flex" to={`/jobs/${jobId}/pull/${way.id}`}>
        Open the pull card
      </Link>
    </>
  );
}

function PullLine({ plan, first, last }: { plan: PullPlan; first: string; last: string }): ReactNode {
  const { units } = usePreferences();
  const { cable, forward, backward, towards, limit, passes } = plan;
  const [best, other] = towards === 'last' ? [forward, backward] : [backward, forward];
  const from = towards === 'last' ? first : last;
  const to = towards === 'last' ? last : first;
  const leading = towards === 'last' ? 1 : 0;
  const words = passes?.[leading]
    ? 'With its leading connector on.'
    : passes?.[1 - leading]
      ? 'Make its leading end after the pull.'
      : 'Make both ends after the pull.';
  return (
    <>
      <span className="font-semibold">{cable.label}</span>: feed in at {from}, pull at {to}
      <span className="block text-sm">
        <span className="figures">{formatFigure(best.end, units)}</span> (the other way round{' '}
        <span className="figures">{formatFigure(other.end, units)}</span>); it takes{' '}
        <span className="figures">{formatFigure(limit, units)}</span>. {words}
      </span>
      {best.sidewall && (
        <span className="block text-sm text-muted">
          Most pressed at the bend {formatLength(best.sidewall.atM, { system: units })} in:{' '}
          {Math.round(best.sidewall.nPerM)} N/m. {best.end.source}.
        </span>
      )}
    </>
  );
}
