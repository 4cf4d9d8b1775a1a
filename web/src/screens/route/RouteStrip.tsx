import { formatLength, heightAt, heightProfile, routeMarks, type RouteMark } from '@kobran/core';
import type { ReactNode } from 'react';
import { countOf, HeightDrawing, MarkLegend } from '../../drawing/height/HeightDrawing.js';
import { Axis } from '../../drawing/ruler/Axis.js';
import { rulerScale, type RulerScale } from '../../drawing/ruler/scale.js';
import { useOpenRun } from '../../store/RunContext.js';
import { useCatalog } from '../../store/Shop.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const PROFILE_PX = 120;
/** So near to a mark, px, the pointer means it. */
const NEAR_PX = 8;

/**
 * The legs on the run’s own ruler, slack as a loop at the end of its leg; over them how high it is and what is on it, where a site says so.
 *
 * @param pointed place on the ruler at which somebody points, here or in the list, m
 */
export function RouteStrip({
  pointed,
  onPoint,
}: {
  pointed: number | undefined;
  onPoint: (atM: number | undefined) => void;
}): ReactNode {
  const { id, sheet, editor, place } = useOpenRun();
  const catalog = useCatalog();
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const { design } = editor;
  const { legs } = design;
  const endM = Math.max(sheet.route.total.value, sheet.totalM);
  const scale = rulerScale(endM, width);
  const profile = place && heightProfile(design, place);
  const marks = profile && place ? routeMarks(profile, { design, sheet, runId: id }, place, catalog) : [];
  const top = profile ? PROFILE_PX : 0;
  const say = (metres: number): string => formatLength(metres, { system: units, digits: 1 });
  const words = legs.map(({ name, zone, lengthM }) => `${name}, ${zone}, ${say(lengthM)}`).join('; ');
  const high = profile
    ? ` It begins at ${say(heightAt(profile, 0))} and ends at ${say(heightAt(profile, endM))} of height, with ${counted(marks)}.`
    : '';
  const span = sheet.route.spans.find(
    ({ fromM, toM }) => pointed !== undefined && pointed >= fromM && pointed < toM,
  );
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={112 + top}
          role="img"
          aria-label={`Route from the radio: ${words}. The run itself is ${say(sheet.totalM)}.${high}`}
          onPointerMove={({ clientX, currentTarget }) => {
            const atM = scale.invert(clientX - currentTarget.getBoundingClientRect().left);
            onPoint(atM >= 0 && atM <= endM ? atM : undefined);
          }}
          onPointerLeave={() => onPoint(undefined)}
        >
          <Axis scale={scale} totalM={endM} width={width} />
          {profile && (
            <HeightDrawing
              profile={profile}
              marks={marks}
              scale={scale}
              width={width}
              top={28}
              height={PROFILE_PX}
            />
          )}
          <g transform={`translate(0 ${top})`}>
            {sheet.route.spans.map(({ fromM, toM, zone, leg }) => {
              const [x, end] = [scale(fromM), scale(toM)];
              const { name, slackM } = legs[leg];
              return (
                <g key={leg}>
                  <rect
                    x={x}
                    y={32}
                    width={end - x}
                    height={44}
                    fill={`var(--zone-${zone})`}
                    stroke="var(--rule)"
                  />
                  {slackM > 0 && (
                    <circle cx={end - 9} cy={60} r={6} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
                  )}
                  {end - x > name.length * 7.5 && (
                    <text x={x + 6} y={48} fontSize={13} fontWeight={600}>
                      {name}
                    </text>
                  )}
                  {end - x > 70 && (
                    <text x={x + 6} y={66} fontSize={13} fill="var(--muted)">
                      {zone}
                    </text>
                  )}
                </g>
              );
            })}
            {span && (
              <rect
                x={scale(span.fromM)}
                y={32}
                width={scale(span.toM) - scale(span.fromM)}
                height={44}
                fill="none"
                stroke="var(--copper)"
                strokeWidth={3}
              />
            )}
            <path d={`M${scale(0)} 90H${scale(sheet.totalM)}`} stroke="var(--ink)" strokeWidth={5} />
            <path d={`M${scale(sheet.route.total.value)} 80V100`} stroke="var(--ink)" strokeWidth={2} />
            <text x={scale(0)} y={110} fontSize={13} fill="var(--muted)">
              the run as planned; the tick: what the route asks for
            </text>
          </g>
          {pointed !== undefined && (
            <path d={`M${scale(pointed)} 28V${top + 100}`} stroke="var(--copper)" strokeWidth={1.5} />
          )}
        </svg>
      )}
      {/* The line keeps its room, so that nothing jumps while one points. */}
      <p className="mt-1 min-h-6" aria-hidden="true">
        {pointed !== undefined &&
          span &&
          [
            `${say(pointed)}: ${legs[span.leg].name}`,
            ...(profile ? [`${say(heightAt(profile, pointed))} high`] : []),
            ...new Set(marks.filter(isNear(scale, pointed)).map(({ what }) => what)),
          ].join(', ')}
      </p>
      {marks.length > 0 && <MarkLegend marks={marks} />}
    </div>
  );
}

const isNear =
  (scale: RulerScale, pointed: number) =>
  ({ atM }: RouteMark): boolean =>
    Math.abs(scale(atM) - scale(pointed)) <= NEAR_PX;

/** `3 bends, 12 supports`. */
const counted = (marks: readonly RouteMark[]): string =>
  [...new Set(marks.map(({ kind }) => kind))].map((kind) => countOf(marks, kind)).join(', ');
