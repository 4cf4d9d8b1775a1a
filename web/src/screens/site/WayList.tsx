import { formatFigure, type Site, type SiteSheet, type WaySheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { SnagMark } from '../../ui/SnagMark.js';

/** The ways with their figures; pressing one shows it everywhere. */
export function WayList({
  sheet,
  site,
  selected,
  pointed,
  onSelect,
  onPoint,
}: {
  sheet: SiteSheet;
  site: Site;
  selected: string | undefined;
  pointed: string | undefined;
  onSelect: (id: string) => void;
  onPoint: (way: string | undefined) => void;
}): ReactNode {
  const { units } = usePreferences();
  const nameOf = (id: string): string => site.points.find((point) => point.id === id)?.name ?? id;
  if (sheet.ways.length === 0)
    return (
      <p className="mt-4 text-muted">
        No way yet. With two points, add the way between them: a tray, a duct, the mast.
      </p>
    );
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="border-b border-rule text-sm text-muted">
            <th className="py-1 pr-3 font-normal">Way</th>
            <th className="hidden py-1 pr-3 font-normal sm:table-cell">From, to</th>
            <th className="py-1 pr-3 text-right font-normal">Length</th>
            <th className="py-1 pr-3 text-right font-normal">Cables</th>
            <th className="hidden py-1 pr-3 font-normal sm:table-cell">What counts</th>
            <th className="py-1 font-normal">
              <span className="sr-only">Problems</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sheet.ways.map((one) => {
            const { way, length, cables } = one;
            const worst = sheet.snags.find(({ at }) => at === way.id);
            return (
              <tr
                key={way.id}
                className={`border-b border-rule ${selected === way.id || pointed === way.id ? 'bg-panel' : ''}`}
                onPointerEnter={() => onPoint(way.id)}
                onPointerLeave={() => onPoint(undefined)}
                onFocus={() => onPoint(way.id)}
                onBlur={() => onPoint(undefined)}
              >
                <td className="py-1 pr-3">
                  <button
                    className="text-left font-semibold underline decoration-rule underline-offset-4 hover:decoration-ink"
                    aria-pressed={selected === way.id}
                    onClick={() => onSelect(way.id)}
                  >
                    {way.name}
                  </button>
                  <span className="block text-sm text-muted">{way.kind}</span>
                </td>
                <td className="hidden py-1 pr-3 text-sm text-muted sm:table-cell">
                  {nameOf(way.from)} to {nameOf(way.to)}
                </td>
                <td className="figures py-1 pr-3 text-right whitespace-nowrap">
                  {formatFigure(length, units)}
                </td>
                <td className="figures py-1 pr-3 text-right">{cables.length}</td>
                <td className="hidden py-1 pr-3 text-sm sm:table-cell">{whatCounts(one, units)}</td>
                <td className="py-1">
                  {worst && (
                    <span title={worst.what}>
                      <SnagMark level={worst.level} />
                      <span className="sr-only">
                        {worst.level}: {worst.what}
                      </span>
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** The figure one looks for in a way of this kind. */
function whatCounts({ fill, supports, tensions }: WaySheet, units: 'metric' | 'imperial'): string {
  if (fill) return `${Math.round(fill.share * 100)} % full, ${Math.round(fill.limit * 100)} % allowed`;
  if (tensions.length > 0) {
    const most = tensions.reduce((x, y) => (y.tension.value > x.tension.value ? y : x));
    return `${formatFigure(most.tension, units)} at its supports`;
  }
  if (supports.length === 0) return '';
  const sum = (of: 'count' | 'grips'): number => supports.reduce((total, one) => total + one[of], 0);
  const grips = sum('grips');
  const count = sum('count');
  return `${count} ${count === 1 ? 'support' : 'supports'}${grips > 0 ? `, ${grips} ${grips === 1 ? 'grip' : 'grips'}` : ''}`;
}
