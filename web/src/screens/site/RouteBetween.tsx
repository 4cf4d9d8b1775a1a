import {
  findRoutes,
  formatLength,
  type FoundRoute,
  type Site,
  type SiteSheet,
  type SurveyedRun,
} from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../ui/Choice.js';
import { usePreferences } from '../../ui/Preferences.js';

/** Routes by clicking points: it begins at one, the next one chosen is where it ends, and a run takes it. */
export function RouteBetween({
  site,
  sheet,
  runs,
  from,
  to,
  onBegin,
}: {
  site: Site;
  sheet: SiteSheet;
  runs: readonly SurveyedRun[];
  /** Id of the point where the route begins; nothing before one is chosen. */
  from: string | undefined;
  /** Id of the point which is chosen now. */
  to: string;
  onBegin: (point: string | undefined) => void;
}): ReactNode {
  const begin = site.points.find(({ id }) => id === from);
  return (
    <section aria-label="A route" className="mt-5">
      <h3 className="font-bold">A route</h3>
      {!begin || begin.id === to ? (
        <p className="mt-1 text-sm text-muted">
          {begin
            ? 'It begins here. Now choose the point where it ends.'
            : 'From point to point, over the ways.'}
        </p>
      ) : (
        <Found site={site} sheet={sheet} runs={runs} from={begin.id} to={to} fromName={begin.name} />
      )}
      <p className="mt-2 flex flex-wrap gap-2">
        {begin?.id !== to && (
          <button className="button" onClick={() => onBegin(to)}>
            Begin a route here
          </button>
        )}
        {begin && (
          <button className="button" onClick={() => onBegin(undefined)}>
            Give it up
          </button>
        )}
      </p>
    </section>
  );
}

function Found({
  site,
  sheet,
  runs,
  from,
  to,
  fromName,
}: {
  site: Site;
  sheet: SiteSheet;
  runs: readonly SurveyedRun[];
  from: string;
  to: string;
  fromName: string;
}): ReactNode {
  const { units } = usePreferences();
  const [run, setRun] = useState(runs[0]?.id ?? '');
  const found = findRoutes(site, from, to);
  if (found.length === 0) return <p className="mt-1 text-caution">No ways lead here from {fromName}.</p>;
  return (
    <>
      <p className="mt-1">From {fromName} to here, the shortest first:</p>
      <ol className="divide-y divide-rule border-y border-rule">
        {found.map((one) => (
          <li key={one.ways.join()} className="py-1">
            <span className="figures font-semibold">{formatLength(one.lengthM, { system: units })}</span>,{' '}
            {one.bends} {one.bends === 1 ? 'bend' : 'bends'}
            {roomText(one, sheet)}
            <span className="block text-sm text-muted">
              {one.ways.map((id) => site.ways.find((way) => way.id === id)?.name).join(', ')}
            </span>
          </li>
        ))}
      </ol>
      {runs.length > 0 && (
        <div className="mt-2 grid gap-2">
          <Choice
            label="For the run"
            value={run}
            options={runs.map(({ id, design }) => ({ value: id, label: design.name }))}
            onChange={setRun}
          />
          <Link className="button justify-self-start" to={`/runs/${run}/route?from=${from}&to=${to}`}>
            Take one in its Route stage
          </Link>
        </div>
      )}
    </>
  );
}

/** Is there room for one more cable in the ducts on the way? */
function roomText({ ways }: FoundRoute, sheet: SiteSheet): string {
  const ducts = sheet.ways.filter(({ way, fill }) => fill && ways.includes(way.id));
  if (ducts.length === 0) return '';
  const full = ducts.filter(({ fill }) => !fill?.roomForOneMore);
  return full.length === 0
    ? ', room for one more in its ducts'
    : `, no room for one more in ${full.map(({ way }) => way.name).join(', ')}`;
}
