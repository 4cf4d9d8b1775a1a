import { area, line, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import type { RulerScale } from './scale.js';

export interface Limit {
  value: number;
  label: string;
}

interface Props {
  title: string;
  /** Says what a sighted person learns from the curve. */
  summary: string;
  unit: string;
  distanceM: Float64Array;
  values: Float64Array;
  /** What ripples faster than it can be drawn is a band between this and `values`. */
  low?: Float64Array;
  scale: RulerScale;
  width: number;
  height: number;
  format: (value: number) => string;
  limits?: readonly Limit[];
  cursorM: number | undefined;
  onCursor: (metres: number | undefined) => void;
}

/** Index of the last sample at or before a distance. */
export function sampleAt(distanceM: Float64Array, metres: number): number {
  let k = 0;
  while (k + 1 < distanceM.length && distanceM[k + 1] <= metres) k++;
  return k;
}

/** A curve over the run, on the ruler’s own scale. Predicted values are drawn in ink. */
export function AlongChart({
  title,
  summary,
  unit,
  distanceM,
  values,
  low,
  scale,
  width,
  height,
  format,
  limits = [],
  cursorM,
  onCursor,
}: Props): ReactNode {
  const [first, last] = visible(distanceM, scale);
  const highest = Math.max(...values) || 1;
  const shown = limits.filter(({ value }) => value <= highest * 2.2);
  /** Title and limits do not stand side by side, and the unit gives way. */
  const narrow = width < 700;
  const y = scaleLinear()
    .domain([0, Math.max(highest, ...shown.map(({ value }) => value)) * 1.12])
    .range([height - 2, narrow && limits.length > 0 ? 36 : 20]);
  const indices = Array.from({ length: last - first + 1 }, (_, k) => first + k);
  const x = (k: number): number => scale(distanceM[k]);
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${title}. ${summary}`}
      className="block"
      onPointerMove={({ nativeEvent }) => onCursor(scale.invert(nativeEvent.offsetX))}
      onPointerLeave={() => onCursor(undefined)}
    >
      <text x={scale.range()[0]} y={13} fontSize={13} fontWeight={700}>
        {title}
        <tspan className="figures" fontWeight={400} fill="var(--muted)">
          {narrow ? '' : `  ${unit}`}
        </tspan>
      </text>
      {limits.length > 0 && (
        <text
          x={narrow ? scale.range()[0] : scale.range()[1]}
          y={narrow ? 30 : 13}
          fontSize={13}
          textAnchor={narrow ? 'start' : 'end'}
          fill="var(--muted)"
        >
          {limits.map(({ label, value }) => `${label} ${format(value)}`).join(', ')}
        </text>
      )}
      <Curve indices={indices} x={x} y={y} values={values} low={low} />
      <path d={`M${scale.range()[0]} ${y(0)}H${scale.range()[1]}`} stroke="var(--rule)" />
      {shown.map(({ value, label }) => (
        <g key={label}>
          <path
            d={`M${scale.range()[0]} ${y(value)}H${scale.range()[1]}`}
            stroke="var(--edge)"
            strokeDasharray="6 4"
          />
          {/* Where there is no room the words above say it. */}
          {!narrow && (
            <text
              x={(scale.range()[0] + scale.range()[1]) / 2}
              y={y(value) + 4}
              fontSize={13}
              textAnchor="middle"
              fill="var(--muted)"
              className="figures"
              stroke="var(--sheet)"
              strokeWidth={6}
              paintOrder="stroke"
            >
              {format(value)}
            </text>
          )}
        </g>
      ))}
      <EndLabels
        ends={[
          { k: sampleAt(distanceM, scale.domain()[0]), x: scale.range()[0] },
          { k: sampleAt(distanceM, scale.domain()[1]), x: scale.range()[1] },
        ]}
        y={y}
        values={values}
        low={low ?? values}
        format={format}
        bottom={height - 6}
      />
      {cursorM !== undefined && (
        <Cursor
          x={scale(cursorM)}
          y={y(values[sampleAt(distanceM, cursorM)])}
          text={[low, values]
            .flatMap((one) => (one ? [format(one[sampleAt(distanceM, cursorM)])] : []))
            .join(' to ')}
          width={width}
          height={height}
        />
      )}
    </svg>
  );
}

/** The values over the run, filled down to nothing or to the lower edge of their band. */
function Curve({
  indices,
  x,
  y,
  values,
  low,
}: {
  indices: readonly number[];
  x: (k: number) => number;
  y: (value: number) => number;
  values: Float64Array;
  low: Float64Array | undefined;
}): ReactNode {
  const along = (of: Float64Array): string =>
    line<number>()
      .x(x)
      .y((k) => y(of[k]))(indices) ?? '';
  const filled = area<number>()
    .x(x)
    .y0((k) => y(low?.[k] ?? 0))
    .y1((k) => y(values[k]));
  return (
    <>
      <path d={filled(indices) ?? ''} fill="var(--panel)" />
      <path d={along(values)} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
      {low && <path d={along(low)} fill="none" stroke="var(--ink)" strokeWidth={1.2} />}
    </>
  );
}

/** First and last sample to draw: one beyond each edge of what is shown. */
function visible(distanceM: Float64Array, scale: RulerScale): [number, number] {
  const [from, to] = scale.domain();
  return [sampleAt(distanceM, from), Math.min(sampleAt(distanceM, to) + 1, distanceM.length - 1)];
}

interface EndLabelsProps {
  ends: [Place, Place];
  y: (value: number) => number;
  values: Float64Array;
  /** Under these nothing is drawn. */
  low: Float64Array;
  format: (value: number) => string;
  bottom: number;
}

interface Place {
  k: number;
  x: number;
}

/** A curve that begins this near to nothing says so by itself, px. */
const TELLS_PX = 3;

/** Keeps a figure legible where the curve passes behind it. */
const halo = { stroke: 'var(--panel)', strokeWidth: 4, paintOrder: 'stroke' };

/** What the curve begins and ends with, written beside it. */
function EndLabels({ ends: [first, last], y, values, low, format, bottom }: EndLabelsProps): ReactNode {
  /** Under the curve; where it runs too low for that, above it. */
  const under = ({ k }: Place): number => (y(low[k]) + 16 > bottom + 2 ? y(values[k]) - 7 : y(low[k]) + 16);
  const sayAt = ({ k }: Place): string =>
    low === values ? format(values[k]) : `${format(low[k])} to ${format(values[k])}`;
  return (
    <>
      {Math.abs(y(values[first.k]) - y(0)) > TELLS_PX && (
        <text x={first.x + 4} y={under(first)} fontSize={13} className="figures" {...halo}>
          {sayAt(first)}
        </text>
      )}
      <text x={last.x - 4} y={under(last)} fontSize={13} textAnchor="end" className="figures" {...halo}>
        {sayAt(last)}
      </text>
    </>
  );
}

/** The value at the place pointed at. */
function Cursor({
  x,
  y,
  text,
  width,
  height,
}: {
  x: number;
  y: number;
  text: string;
  width: number;
  height: number;
}): ReactNode {
  const nearEnd = x > width - 110;
  return (
    <g>
      <path d={`M${x} 18V${height}`} stroke="var(--copper)" strokeDasharray="2 3" />
      <circle cx={x} cy={y} r={3.5} fill="var(--copper)" />
      <text
        x={x + (nearEnd ? -8 : 8)}
        textAnchor={nearEnd ? 'end' : 'start'}
        y={Math.max(y - 6, 30)}
        fontSize={13}
        fontWeight={700}
        className="figures"
        style={{ fill: 'var(--copper)' }}
        stroke="var(--sheet)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {text}
      </text>
    </g>
  );
}
