import type { ReactNode } from 'react';
import { elevation, plan, type View } from './projection.js';
import { SiteView, type DrawingProps } from './SiteView.js';

const views: readonly (readonly [View, string])[] = [
  [plan, 'Plan, from above'],
  [elevation, 'Elevation, from the south'],
];

/** Plan and elevation side by side: the same points, to scale. */
export function SiteDrawings(props: DrawingProps): ReactNode {
  return (
    <div className="mt-3 grid gap-4 md:grid-cols-2">
      {views.map(([view, title]) => (
        <SiteView key={view.name} view={view} title={title} {...props} />
      ))}
    </div>
  );
}
