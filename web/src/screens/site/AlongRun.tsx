import { formatLength, heightAt, routeMarks, type HeightProfile, type SurveyedRun } from '@kobran/core';
import type { ReactNode } from 'react';
import { HeightDrawing, heightScale, MarkLegend } from '../../drawing/height/HeightDrawing.js';
import { Axis } from '../../drawing/ruler/Axis.js';
import { rulerScale } from '../../drawing/ruler/scale.js';
import { useCatalog } from '../../store/Shop.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';
import { DRAWING_HEIGHT, type DrawingProps } from './SiteView.js';
import { pointedAt, rulerAt } from './pointing.js';

const STRIP_PX = 34;
const LETTER_PX = 7.4;

/** The site unrolled along one run: x is the distance along its cable, y the height; its ways below. */
export function AlongRun({
  run,
  profile,
  title,
  choice,
  site,
  selected,
  pointed,
  onSelect,
  onPoint,
}: DrawingProps & { run: SurveyedRun; profile: HeightProfile; title: string; choice: ReactNode }): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const marks = routeMarks(profile, { design: run.design, sheet: run.sheet, runId: run.id }, site, catalog);
  const endM = Math.max(profile.ways[profile.ways.length - 1].toM, ...marks.map(({ atM }) => atM));
  const scale = rulerScale(endM, width);
  const stripY = DRAWING_HEIGHT - STRIP_PX - 4;
  const up = heightScale(profile, 28, stripY - 28);
  const at = rulerAt(profile, pointed);
  return (
    <figure ref={ref} aria-label={title} className="min-w-0 border border-rule bg-paper">
      <figcaption className="px-2 pt-1 text-sm text-muted">{choice}</figcaption>
      {width > 0 && (
        <svg
          width={width}
          height={DRAWING_HEIGHT}
          role="group"
          aria-label={`${title}: ${profile.ways.map(({ way }) => way.name).join(', ')}`}
          className="block"
          onPointerMove={({ clientX, currentTarget }) =>
            onPoint(pointedAt(profile, scale.invert(clientX - currentTarget.getBoundingClientRect().left)))
          }
          onPointerLeave={() => onPoint(undefined)}
        >
          <Axis scale={scale} totalM={endM} width={width} />
          <HeightDrawing
            profile={profile}
            marks={marks}
            scale={scale}
            width={width}
            top={28}
            height={stripY - 28}
          />
          {profile.ways.map(({ way, fromM, toM }) => {
            const [x, end] = [scale(fromM), scale(toM)];
            return (
              <g key={way.id} className="cursor-pointer" onClick={() => onSelect(way.id)}>
                <title>{way.name}</title>
                <rect
                  x={x}
                  y={stripY}
                  width={Math.max(1, end - x)}
                  height={STRIP_PX}
                  fill="var(--panel)"
                  stroke={selected === way.id ? 'var(--copper)' : 'var(--rule)'}
                  strokeWidth={selected === way.id ? 3 : 1}
                />
                {end - x > way.name.length * LETTER_PX && (
                  <text x={x + 5} y={stripY + 21} fontSize={13}>
                    {way.name}
                  </text>
                )}
              </g>
            );
          })}
          {at !== undefined && (
            <g stroke="var(--copper)" aria-hidden="true">
              <path d={`M${scale(at)} 28V${stripY + STRIP_PX}`} strokeWidth={1.5} />
              <circle cx={scale(at)} cy={up(heightAt(profile, at))} r={5} fill="var(--copper)" />
            </g>
          )}
        </svg>
      )}
      <div className="flex flex-wrap items-center gap-x-4 px-2 pb-1">
        <MarkLegend marks={marks} />
        {/* The line keeps its room, so that nothing jumps while one points. */}
        <p className="min-h-5 text-sm" aria-hidden="true">
          {at !== undefined && (
            <>
              <span className="figures">{formatLength(at, { system: units, digits: 1 })}</span> along,{' '}
              <span className="figures">
                {formatLength(heightAt(profile, at), { system: units, digits: 1 })}
              </span>{' '}
              high
            </>
          )}
        </p>
      </div>
    </figure>
  );
}
