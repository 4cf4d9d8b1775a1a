import { heightProfile, type SurveyedRun } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { AlongRun } from './AlongRun.js';
import { fromSouth, fromWest, plan, type View } from './projection.js';
import { SiteView, type DrawingProps } from './SiteView.js';

const sides: readonly (readonly [View, string])[] = [
  [fromSouth, 'from the south'],
  [fromWest, 'from the west'],
];

/** Plan and elevation side by side: the same points, to scale. The elevation is seen from a side, or unrolled along a run. */
export function SiteDrawings({ runs, ...props }: DrawingProps & { runs: readonly SurveyedRun[] }): ReactNode {
  const [from, setFrom] = useState<string>('south');
  const along = runs.flatMap((run) => {
    const profile = heightProfile(run.design, props.site);
    return profile ? [{ run, profile }] : [];
  });
  const chosen = along.find(({ run }) => run.id === from);
  const [view] = sides.find(([{ name }]) => name === from) ?? sides[0];
  const choice = (
    <label className="flex min-w-0 items-center gap-2">
      Elevation
      <select
        className="min-w-0 rounded border border-edge bg-paper px-1 py-0.5 text-ink"
        value={chosen ? from : view.name}
        onChange={({ target }) => setFrom(target.value)}
      >
        {sides.map(([{ name }, label]) => (
          <option key={name} value={name}>
            {label}
          </option>
        ))}
        {along.map(({ run }) => (
          <option key={run.id} value={run.id}>
            along {run.design.name}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <div className="mt-3 grid gap-4 md:grid-cols-2">
      <SiteView view={plan} title="Plan, from above" {...props} />
      {chosen ? (
        <AlongRun
          run={chosen.run}
          profile={chosen.profile}
          title={`Elevation along ${chosen.run.design.name}`}
          choice={choice}
          {...props}
        />
      ) : (
        <SiteView
          view={view}
          title={`Elevation, ${sides.find(([one]) => one === view)?.[1]}`}
          choice={choice}
          {...props}
        />
      )}
    </div>
  );
}
