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
export function AlongChart({ title, summary, unit, distanceM, values, scale, width, height, format, limits = [], cursorM, onCursor }: Props): ReactNode {
  const highest = Math.max(...values) || 1;
  const shown = limits.filter(({ value }) => value <= highest * 2.2);
  const y = scaleLinear().domain([0, Math.max(highest, ...shown.map(({ value }) => value)) * 1.12]).range([height - 2, 20]);
  const indices = Array.from(values.keys());
  const x = (k: number): number => scale(distanceM[k]);
  const cursor = cursorM === undefined ? undefined : sampleAt(distanceM, cursorM);
  const lastX = x(values.length - 1);
  return (
    <svg width={width} height={height} role="img" aria-label={`${title}. ${summary}`} className="block" onPointerMove={({ nativeEvent }) => onCursor(scale.invert(nativeEvent.offsetX))} onPointerLeave={() => onCursor(undefined)}>
      <text x={scale.range()[0]} y={13} fontSize={13} fontWeight={700}>
        {title}
        <tspan className="figures" fontWeight={400} fill="var(--muted)">{`  ${unit}`}</tspan>
      </text>
      {limits.length > 0 && (
        <text x={scale.range()[1]} y={13} fontSize={13} textAnchor="end" fill="var(--muted)">
          {limits.map(({ label, value }) => `${label} ${format(value)}`).join(', ')}
        </text>
      )}
      <path d={area<number>().x(x).y0(y(0)).y1((k) => y(values[k]))(indices) ?? ''} fill="var(--panel)" />
      <path d={line<number>().x(x).y((k) => y(values[k]))(indices) ?? ''} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
      <path d={`M${scale.range()[0]} ${y(0)}H${scale.range()[1]}`} stroke="var(--rule)" />
      {shown.map(({ value, label }) => (
        <g key={label}>
          <path d={`M${scale.range()[0]} ${y(value)}H${scale.range()[1]}`} stroke="var(--edge)" strokeDasharray="6 4" />
          <text x={(scale.range()[0] + scale.range()[1]) / 2} y={y(value) + 14} fontSize={13} textAnchor="middle" fill="var(--muted)" className="figures">
            {format(value)}
          </text>
        </g>
      ))}
      {values.length > 0 && (
        <>
          <text x={x(0) + 4} y={Math.min(y(values[0]) + 16, height - 6)} fontSize={13} className="figures">
            {format(values[0])}
          </text>
          <text x={lastX - 4} y={Math.min(y(values[values.length - 1]) + 16, height - 6)} fontSize={13} textAnchor="end" className="figures">
            {format(values[values.length - 1])}
          </text>
        </>
      )}
      {cursor !== undefined && cursorM !== undefined && (
        <g>
          <path d={`M${scale(cursorM)} 18V${height}`} stroke="var(--copper)" strokeDasharray="2 3" />
          <circle cx={scale(cursorM)} cy={y(values[cursor])} r={3.5} fill="var(--copper)" />
          <text x={scale(cursorM) + (scale(cursorM) > width - 110 ? -8 : 8)} textAnchor={scale(cursorM) > width - 110 ? 'end' : 'start'} y={Math.max(y(values[cursor]) - 6, 30)} fontSize={13} fontWeight={700} className="figures" fill="var(--copper)" stroke="var(--sheet)" strokeWidth={4} paintOrder="stroke">
            {format(values[cursor])}
          </text>
        </g>
      )}
    </svg>
  );
}
