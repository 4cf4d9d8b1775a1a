import { formatFrequency, type Band } from '@kobran/core';
import { bisectCenter, line, scaleLinear, scaleLog } from 'd3';
import { useId, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { drawnPoints } from './drawnPoints.js';
import { useWidth } from '../../ui/useWidth.js';

export interface Series {
  name: string;
  values: ArrayLike<number>;
  /** Ink is predicted, lake is measured, copper is chosen, muted stands back. */
  tone: 'ink' | 'lake' | 'copper' | 'muted';
  dashed?: boolean;
}

interface Props {
  title: string;
  /** Says what a sighted person learns from the curves. */
  summary: string;
  /** Title of the vertical axis with its unit. */
  unit: string;
  frequencyHz: ArrayLike<number>;
  series: readonly Series[];
  bands: readonly Band[];
  height: number;
  format: (value: number) => string;
  /** Frequencies over decades are shown on a logarithmic axis. */
  logarithmic?: boolean;
  /** Top of the vertical axis, when the curves themselves do not say. */
  most?: number;
  /** Where the vertical axis begins: an SWR is never below 1. */
  least?: number;
}

const PAD = { left: 46, right: 12, top: 40, bottom: 36 };
/** From this width on the names stand beside the ends of their curves, px; below it in a row under the chart. */
const NAMES_BESIDE_PX = 520;
/** Of a character at 13 px and semibold, at most. */
const CHARACTER_PX = 7.6;
const NAME_GAP_PX = 8;

/** First and last frequency; some span where there is none, so that the axis stands. */
const spanOf = (hz: readonly number[]): [number, number] => [hz[0] ?? 1, hz.at(-1) ?? 2];

const isNamed = ({ tone }: Series): boolean => tone !== 'muted';
/** What the names take beside the curves, px. */
const namesPx = (series: readonly Series[]): number =>
  Math.max(0, ...series.filter(isNamed).map(({ name }) => name.length)) * CHARACTER_PX + NAME_GAP_PX;

const colour: Record<Series['tone'], string> = {
  ink: 'var(--ink)',
  lake: 'var(--lake)',
  copper: 'var(--copper)',
  muted: 'var(--edge)',
};

/** A hundredth of the curve further, from its middle at first. */
const stepped = (now: number | undefined, by: number, count: number): number =>
  Math.max(
    0,
    Math.min((now ?? Math.floor(count / 2)) + by * Math.max(1, Math.round(count / 100)), count - 1),
  );

/** Curves over frequency with the run’s bands behind them; read out by pointing, or by the arrow keys. */
export function FrequencyChart({
  title,
  summary,
  unit,
  frequencyHz,
  series,
  bands,
  height,
  format,
  logarithmic = false,
  most,
  least = 0,
}: Props): ReactNode {
  const [ref, width] = useWidth<HTMLDivElement>();
  const [at, setAt] = useState<number>();
  const clip = useId();
  const beside = width >= NAMES_BESIDE_PX;
  const right = beside ? namesPx(series) : PAD.right;
  const hz = Array.from(frequencyHz);
  const [low, high] = spanOf(hz);
  const x = (logarithmic ? scaleLog() : scaleLinear())
    .domain([low, high])
    .range([PAD.left, Math.max(width - right, PAD.left + 1)]);
  const all = series.flatMap(({ values }) => Array.from(values)).filter(Number.isFinite);
  const top = most ?? (Math.max(...all, 0) * 1.1 || 1);
  const y = scaleLinear()
    .domain([least, top])
    .range([height - PAD.bottom, PAD.top]);
  const move = (event: PointerEvent<SVGSVGElement>): void =>
    setAt(bisectCenter(hz, x.invert(event.nativeEvent.offsetX)));
  const step = (event: KeyboardEvent): void => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    setAt((now) => stepped(now, by, hz.length));
  };
  const read =
    at === undefined
      ? undefined
      : `${formatFrequency(hz[at])}: ${series.map(({ name, values }) => `${name} ${format(values[at])}`).join(', ')}`;
  return (
    <div ref={ref} className="min-w-0">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          tabIndex={0}
          aria-label={`${title}. ${summary}${read ? ` Reading: ${read}.` : ' Arrow keys read values.'}`}
          className="block"
          onPointerMove={move}
          onPointerLeave={() => setAt(undefined)}
          onKeyDown={step}
          onBlur={() => setAt(undefined)}
        >
          <text x={PAD.left} y={13} fontSize={13} fontWeight={700}>
            {title}
          </text>
          <text x={PAD.left} y={30} fontSize={13} fill="var(--muted)" className="figures">
            {read ?? unit}
          </text>
          {bands.map((band) => {
            const [from, to] = [
              Math.max(x(Math.max(band.lowHz, low)), PAD.left),
              x(Math.min(band.highHz, high)),
            ];
            return (
              <g key={`${band.name}${band.lowHz}`}>
                <rect
                  x={from - 1}
                  y={PAD.top}
                  width={Math.max(to - from, 0) + 2}
                  height={height - PAD.top - PAD.bottom}
                  fill="var(--zone-outdoor)"
                />
                <text
                  x={(from + to) / 2}
                  y={height - 4}
                  fontSize={13}
                  textAnchor="middle"
                  fill="var(--muted)"
                >
                  {band.name}
                </text>
              </g>
            );
          })}
          <Grid x={x} y={y} logarithmic={logarithmic} width={width} right={right} height={height} />
          <clipPath id={clip}>
            <rect
              x={PAD.left}
              y={PAD.top - 2}
              width={Math.max(width - PAD.left - right, 0)}
              height={height - PAD.top - PAD.bottom + 4}
            />
          </clipPath>
          {series.map(({ name, values, tone, dashed }) => (
            <path
              key={name}
              clipPath={`url(#${clip})`}
              d={
                line<number>()
                  .defined((k) => Number.isFinite(values[k]))
                  .x((k) => x(hz[k]))
                  .y((k) => y(values[k]))(drawnPoints(values, (k) => x(hz[k]))) ?? ''
              }
              fill="none"
              stroke={colour[tone]}
              strokeWidth={tone === 'muted' ? 1 : 2}
              {...(dashed ? { strokeDasharray: '6 4' } : {})}
            />
          ))}
          {beside && (
            <Names series={series} y={y} top={top} x={width - right + NAME_GAP_PX} height={height} />
          )}
          {at !== undefined && (
            <g stroke="var(--copper)">
              <path d={`M${x(hz[at])} ${PAD.top}V${height - PAD.bottom}`} strokeDasharray="2 3" />
              {series.map(({ name, values }) => (
                <circle
                  key={name}
                  cx={x(hz[at])}
                  cy={y(Math.min(values[at], top))}
                  r={3}
                  fill="var(--copper)"
                />
              ))}
            </g>
          )}
        </svg>
      )}
      {!beside && <NamesBelow series={series} />}
    </div>
  );
}

function Grid({
  x,
  y,
  logarithmic,
  width,
  right,
  height,
}: {
  x: ReturnType<typeof scaleLinear<number>>;
  y: ReturnType<typeof scaleLinear<number>>;
  logarithmic: boolean;
  width: number;
  /** Left free beside the curves, px. */
  right: number;
  height: number;
}): ReactNode {
  const across = logarithmic
    ? x.ticks(6).filter((hz) => /^[125]/.test(String(hz)))
    : x.ticks(Math.max(2, Math.floor(width / 150)));
  return (
    <g>
      {y.ticks(4).map((value) => (
        <g key={value}>
          <path d={`M${PAD.left} ${y(value)}H${width - right}`} stroke="var(--rule)" />
          <text
            x={PAD.left - 6}
            y={y(value) + 4}
            fontSize={13}
            textAnchor="end"
            className="figures"
            fill="var(--muted)"
          >
            {value}
          </text>
        </g>
      ))}
      {across.map((hz) => (
        <g key={hz}>
          <path d={`M${x(hz)} ${height - PAD.bottom}v5`} stroke="var(--edge)" />
          <text
            x={x(hz)}
            y={height - PAD.bottom + 17}
            fontSize={13}
            textAnchor={x(hz) > width - TICK_HALF_PX ? 'end' : 'middle'}
            className="figures"
          >
            {formatFrequency(hz)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Names in a row under a chart which has no room beside its curves. */
function NamesBelow({ series }: { series: readonly Series[] }): ReactNode {
  return (
    <p aria-hidden="true" className="flex flex-wrap gap-x-4 text-sm font-semibold">
      {series.filter(isNamed).map(({ name, tone, dashed }) => (
        <span key={name} style={{ color: colour[tone] }}>
          {dashed ? '- - ' : '— '}
          {name}
        </span>
      ))}
    </p>
  );
}

/** Half of the longest frequency written under the axis, px. */
const TICK_HALF_PX = 36;

/** Names beside the right ends of their curves, kept apart from each other. */
function Names({
  series,
  x,
  y,
  top,
  height,
}: {
  series: readonly Series[];
  x: number;
  y: (value: number) => number;
  top: number;
  height: number;
}): ReactNode {
  const named = series
    .filter(isNamed)
    .map((one) => ({ ...one, at: y(Math.min(lastOf(one.values), top)) + 4 }))
    .sort((a, b) => a.at - b.at);
  let free = PAD.top + 6;
  return named.map(({ name, tone, at }, k) => {
    // Room is left for the names that come after.
    const last = height - PAD.bottom - 15 * (named.length - 1 - k);
    const place = Math.min(Math.max(at, free), last);
    free = place + 15;
    return (
      <text key={name} x={x} y={place} fontSize={13} fontWeight={600} style={{ fill: colour[tone] }}>
        {name}
      </text>
    );
  });
}

/** Where a curve ends: its last value that is one. */
const lastOf = (values: ArrayLike<number>): number => Array.from(values).findLast(Number.isFinite) ?? 0;
