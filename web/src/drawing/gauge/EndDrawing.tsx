import type { DrawnEnd } from '@kobran/core';
import { useId, type ReactNode } from 'react';
import { layerFill } from './layers.js';

const JACKET_SHOWN_MM = 8;
const PART_GAP_MM = 4;
const PAD = 16;

/** A prepared end as it lies on the bench, sound or spoilt, to scale; the cut end is to the left. */
export function EndDrawing({
  end,
  width,
  tall = 90,
}: {
  end: DrawnEnd;
  width: number;
  tall?: number;
}): ReactNode {
  const weave = useId();
  const strippedMm = end.stretches.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const partsMm = end.onCable.reduce((sum, { lengthMm }) => sum + lengthMm + PART_GAP_MM, 0);
  const bareMm = end.stretches.find(({ layer }) => layer === 'centre')?.lengthMm ?? 0;
  /** A pin reaches beyond the conductor. */
  const beyondMm = end.pin ? Math.max(0, end.pin.lengthMm + end.pin.gapMm - bareMm) + 1 : 0;
  const lengthMm = beyondMm + strippedMm + JACKET_SHOWN_MM + partsMm + PART_GAP_MM;
  const tallestMm = Math.max(end.jacketMm, ...end.onCable.map(({ outerMm }) => outerMm));
  const scale = Math.min((width - 2 * PAD) / lengthMm, tall / tallestMm);
  const axis = (tallestMm * scale) / 2 + 14;
  const x = (alongMm: number): number => PAD + (beyondMm + alongMm) * scale;
  const starts = end.stretches.map((_, k) =>
    end.stretches.slice(0, k).reduce((sum, one) => sum + one.lengthMm, 0),
  );
  const partStarts = end.onCable.map(
    (_, k) =>
      strippedMm +
      JACKET_SHOWN_MM +
      // What slid on first lies farthest back.
      end.onCable.slice(k + 1).reduce((sum, one) => sum + one.lengthMm + PART_GAP_MM, 0),
  );
  const dielectric = end.stretches.findIndex(({ layer }) => layer === 'dielectric');
  return (
    <svg width={width} height={2 * axis + 8} role="img" aria-label={end.description} className="block">
      <defs>
        <pattern id={weave} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(22)">
          <path d="M0 0V7" stroke="var(--ink)" strokeWidth={0.9} />
        </pattern>
      </defs>
      {end.stretches.map(({ layer, lengthMm: long, diameterMm }, k) => {
        const high = Math.max(diameterMm * scale, 4);
        const box = { x: x(starts[k]), y: axis - high / 2, width: long * scale, height: high };
        if (layer === 'dielectric' && end.swollenMm > 0)
          return <SwollenDielectric key={layer} {...box} bulge={end.swollenMm * scale} />;
        return (
          <g key={layer}>
            <rect
              {...box}
              fill={layerFill[layer]}
              stroke="var(--ink)"
              strokeWidth={layer === 'centre' ? 0.6 : 1}
            />
            {layer === 'braid' && <rect {...box} fill={`url(#${weave})`} />}
          </g>
        );
      })}
      <rect
        x={x(strippedMm)}
        y={axis - (end.jacketMm * scale) / 2}
        width={Math.max(0, width - x(strippedMm))}
        height={end.jacketMm * scale}
        fill={layerFill.jacket}
      />
      {end.pin && dielectric > 0 && (
        <Pin pin={end.pin} endsAt={x(starts[dielectric] - end.pin.gapMm)} axis={axis} scale={scale} />
      )}
      {end.whisker && dielectric > 0 && (
        <path
          d={`M${x(starts[dielectric] + end.stretches[dielectric].lengthMm + 1)} ${axis - (end.stretches[dielectric].diameterMm * scale) / 2 - 1}
              Q${x(starts[dielectric] + end.stretches[dielectric].lengthMm / 2)} ${axis - (end.stretches[dielectric].diameterMm * scale) / 2 - 9}
              ${x(starts[dielectric] - 0.8)} ${axis - 1}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      )}
      {end.onCable.map((item, k) => (
        <g key={item.id}>
          <rect
            x={x(partStarts[k])}
            y={axis - (item.outerMm * scale) / 2}
            width={Math.max(2, item.lengthMm * scale)}
            height={item.outerMm * scale}
            fill="var(--panel)"
            stroke="var(--ink)"
            strokeWidth={1.4}
          />
          <text
            x={x(partStarts[k]) + (item.lengthMm * scale) / 2}
            y={axis + 4}
            textAnchor="middle"
            fontSize={13}
            aria-hidden="true"
          >
            {item.lengthMm * scale > item.name.length * 6.2 ? item.name : ''}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** Dielectric swollen in one place and sunken in the next. */
function SwollenDielectric({
  x,
  y,
  width,
  height,
  bulge,
}: {
  x: number;
  y: number;
  width: number;
  height: number;
  bulge: number;
}): ReactNode {
  const wide = Math.max(width, 14);
  return (
    <path
      d={`M${x} ${y}q${wide * 0.25} ${-bulge} ${wide * 0.5} ${bulge * 0.3}t${wide * 0.5} ${bulge * 0.2}V${y + height - bulge * 0.2}
          q${-wide * 0.25} ${bulge} ${-wide * 0.5} ${-bulge * 0.25}t${-wide * 0.5} ${bulge * 0.05}Z`}
      fill="var(--dielectric)"
      stroke="var(--ink)"
      strokeWidth={1}
    />
  );
}

/** The pin in section: its walls, its bore over the conductor, and its closed front. */
function Pin({
  pin,
  endsAt,
  axis,
  scale,
}: {
  pin: NonNullable<DrawnEnd['pin']>;
  endsAt: number;
  axis: number;
  scale: number;
}): ReactNode {
  const outer = Math.max(pin.outerMm, pin.boreMm + 0.6) * scale;
  const bore = pin.boreMm * scale;
  const from = Math.max(4, endsAt - pin.lengthMm * scale);
  const wall = (outer - bore) / 2;
  return (
    <g fill="var(--lake)" stroke="var(--ink)" strokeWidth={0.8}>
      <rect x={from} y={axis - outer / 2} width={endsAt - from} height={wall} />
      <rect x={from} y={axis + bore / 2} width={endsAt - from} height={wall} />
      <rect x={Math.max(1, from - 4)} y={axis - outer / 2} width={5} height={outer} />
    </g>
  );
}
