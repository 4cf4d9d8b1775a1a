import { pointKinds, type PointKind, type Site, type SiteChange, type SitePoint } from '@kobran/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { Choice } from '../../ui/Choice.js';
import { TextField } from '../../ui/TextField.js';
import { PositionField } from './SiteLengths.js';

/** One point: what it is and where. */
export function PointInspector({
  point,
  site,
  change,
  onSelect,
  children,
}: {
  point: SitePoint;
  site: Site;
  change: (changes: readonly SiteChange[]) => void;
  onSelect: (id: string | undefined) => void;
  /** What else can be done from here. */
  children: ReactNode;
}): ReactNode {
  const put = (over: Partial<SitePoint>): void => change([{ op: 'put point', point: { ...point, ...over } }]);
  const ways = site.ways.filter(({ from, to }) => from === point.id || to === point.id);
  return (
    <>
      <h2 className="text-lg font-bold">{point.name}</h2>
      <div className="mt-3 grid gap-3">
        <TextField label="Name" value={point.name} maxLength={80} onChange={(name) => put({ name })} />
        <Choice
          label="Kind"
          value={point.kind}
          options={pointKinds.map((kind) => ({ value: kind, label: kind }))}
          onChange={(kind) => put({ kind: kind as PointKind })}
        />
        <div className="grid grid-cols-3 gap-2">
          <PositionField label="East" valueM={point.xM} onChange={(xM) => put({ xM })} />
          <PositionField label="North" valueM={point.yM} onChange={(yM) => put({ yM })} />
          <PositionField label="Height" valueM={point.zM} onChange={(zM) => put({ zM })} />
        </div>
      </div>
      {ways.length > 0 && (
        <>
          <h3 className="mt-4 font-bold">Ways here</h3>
          <ul>
            {ways.map(({ id, name }) => (
              <li key={id}>
                <button className="underline underline-offset-4" onClick={() => onSelect(id)}>
                  {name}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {children}
      <button
        className="button mt-5"
        onClick={() => {
          change([{ op: 'remove point', id: point.id }]);
          onSelect(undefined);
          toast(`${point.name} deleted`, {
            description: `${ways.length > 0 ? 'Its ways went with it. ' : ''}Ctrl Z brings it back.`,
          });
        }}
      >
        <Trash2 size={16} aria-hidden /> Delete this point
      </button>
    </>
  );
}
