import { formatLength, type HeightProfile, type RouteMark, type RouteMarkKind } from '@kobran/core';
import { line as lineOf, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import type { RulerScale } from '../ruler/scale.js';

/** What stands for each thing along a run, about its place on the line. */
const markShapes: Record<RouteMarkKind, { d: string; filled?: boolean; plural: string }> = {
  bend: { d: 'M-4.5 0a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0 -9 0', plural: 'bends' },
  support: { d: 'M0 1v6', plural: 'supports' },
  loop: { d: 'M0 0c-9 -14 9 -14 0 0', plural: 'loops' },
  box: { d: 'M-5 -5h10v10h-10z', plural: 'boxes' },
  'ground kit': { d: 'M0 0v8M-6 8h12M-4 11h8M-2 14h4', plural: 'ground kits' },
  seal: { d: 'M-5 -3h10v6h-10z', filled: true, plural: 'seals' },
};

/** What is drawn last lies on top: a seal is smaller than a box. */
const order: readonly RouteMarkKind[] = ['support', 'box', 'loop', 'ground kit', 'bend', 'seal'];

/** How high a run is along its ruler, with what is found on it. Heights at both ends of the scale. */
export function HeightDrawing({
  profile,
  marks,
  scale,
  width,
  top,
  height,
}: {
  profile: HeightProfile;
  marks: readonly RouteMark[];
  scale: RulerScale;
  /** px; `top` and `height` of the band in which it is drawn. */
  width: number;
  top: number;
  height: number;
}): ReactNode {
  const { units } = usePreferences();
  const heights = profile.line.map(({ zM }) => zM);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const up = heightScale(profile, top, height);
  const path = lineOf<{ atM: number; zM: number }>(
    ({ atM }) => scale(atM),
    ({ zM }) => up(zM),
  );
  return (
    <g>
      {[...new Set([low, high])].map((zM) => (
        <path key={zM} d={`M${scale(0)} ${up(zM)}H${width}`} stroke="var(--rule)" />
      ))}
      <path
        d={path(profile.line) ?? ''}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {order.flatMap((kind) =>
        marks
          .filter((mark) => mark.kind === kind)
          .map(({ atM, zM, what }, k) => (
            <path
              key={`${kind} ${k}`}
              d={markShapes[kind].d}
              transform={`translate(${scale(atM)} ${up(zM)})`}
              fill={markShapes[kind].filled ? 'var(--ink)' : kind === 'support' ? 'none' : 'var(--paper)'}
              stroke="var(--ink)"
              strokeWidth={kind === 'support' ? 1 : 1.6}
            >
              <title>{what}</title>
            </path>
          )),
      )}
      <text x={scale(0) + 2} y={up(high) - 5} fontSize={13} fill="var(--muted)">
        height {formatLength(high, { system: units, digits: 1 })}
      </text>
      {high > low && (
        <text x={scale(0) + 2} y={up(low) + 14} fontSize={13} fill="var(--muted)">
          {formatLength(low, { system: units, digits: 1 })}
        </text>
      )}
    </g>
  );
}

/** Metres of height to px: room above for loops and words, below for what hangs down. */
export function heightScale({ line }: HeightProfile, top: number, height: number): (zM: number) => number {
  const heights = line.map(({ zM }) => zM);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  return scaleLinear([low, Math.max(high, low + 1)], [top + height - 20, top + 20]);
}

/** `3 bends`. */
export function countOf(marks: readonly RouteMark[], kind: RouteMarkKind): string {
  const count = marks.filter((mark) => mark.kind === kind).length;
  return `${count} ${count === 1 ? kind : markShapes[kind].plural}`;
}

/** What the marks mean: those which are there. */
export function MarkLegend({ marks }: { marks: readonly RouteMark[] }): ReactNode {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-muted">
      {order
        .filter((kind) => marks.some((mark) => mark.kind === kind))
        .map((kind) => (
          <li key={kind} className="flex items-center gap-1">
            <svg width={18} height={24} aria-hidden="true">
              <path
                d={markShapes[kind].d}
                transform={`translate(9 ${kind === 'loop' ? 18 : kind === 'ground kit' ? 4 : 12})`}
                fill={markShapes[kind].filled ? 'var(--ink)' : 'none'}
                stroke="var(--ink)"
                strokeWidth={1.6}
              />
            </svg>
            {countOf(marks, kind)}
          </li>
        ))}
    </ul>
  );
}
