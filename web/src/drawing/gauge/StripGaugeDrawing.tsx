import { stripText, type GaugeStretch, type Layer, type StripGauge } from '@kobran/core';
import { useId, type ReactNode } from 'react';
import { layerFill } from './layers.js';
import { usePreferences } from '../../ui/Preferences.js';

const JACKET_SHOWN_MM = 14;
const PAD = 18;
const ROW = 27;
/** Width kept free to the right of the drawing for the labels of the dimensions, px. */
const LABEL = 226;

/** The prepared end to scale, cut to the left; each stretch has a dimension line of its own, the one being made in copper. */
export function StripGaugeDrawing({
  gauge,
  active,
  width,
  tall = 104,
  pxPerMm,
}: {
  gauge: StripGauge;
  active: Layer | undefined;
  width: number;
  tall?: number;
  /** Draws it at true size on a screen of this scale, with the cut at the very edge so that a cable can be held against it. */
  pxPerMm?: number | undefined;
}): ReactNode {
  const { units } = usePreferences();
  const weave = useId();
  const mm = (value: number): string => stripText(value, units);
  const narrow = width < 480;
  const row = narrow ? ROW * 1.6 : ROW;
  const fitting = Math.min(
    (width - PAD - (narrow ? JACKET_SHOWN_MM * 2 : LABEL)) / Math.max(gauge.jacketCutMm, 1),
    tall / gauge.jacketMm,
  );
  const scale = pxPerMm ?? fitting;
  const axis = (gauge.jacketMm * scale) / 2 + 12;
  const starts = gauge.stretches.map((_, k) =>
    gauge.stretches.slice(0, k).reduce((sum, { lengthMm }) => sum + lengthMm, 0),
  );
  const x = (alongMm: number): number => PAD + alongMm * scale;
  const jacketX = x(gauge.jacketCutMm);
  const words = gauge.stretches.map(({ layer, lengthMm }) => `${layer} ${mm(lengthMm)}`).join(', ');
  const rows = [
    {
      layer: 'jacket' as const,
      from: 0,
      to: gauge.jacketCutMm,
      label: `jacket off ${mm(gauge.jacketCutMm)}`,
    },
    ...gauge.stretches
      .map(({ layer, lengthMm }, k) => ({
        layer,
        from: starts[k],
        to: starts[k] + lengthMm,
        label: `${layer} ${mm(lengthMm)}`,
      }))
      .toReversed(),
  ];
  const firstRow = 2 * axis + 10;
  const height = firstRow + rows.length * row;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Strip gauge ${pxPerMm === undefined ? 'to scale' : 'life-size'}, from the cut: ${words}; jacket off for ${mm(gauge.jacketCutMm)}.`}
      className="block"
    >
      <defs>
        <pattern id={weave} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(22)">
          <path d="M0 0V7" stroke="var(--ink)" strokeWidth={0.9} />
        </pattern>
      </defs>
      {[0, ...starts.slice(1), gauge.jacketCutMm].map((at, k) => (
        <path key={k} d={`M${x(at)} ${axis}V${height - 8}`} stroke="var(--rule)" />
      ))}
      {gauge.stretches.map((stretch, k) => (
        <Bare
          key={stretch.layer}
          stretch={stretch}
          x={x(starts[k])}
          axis={axis}
          scale={scale}
          weave={weave}
        />
      ))}
      <rect
        x={jacketX}
        y={axis - (gauge.jacketMm * scale) / 2}
        width={Math.max(0, width - jacketX)}
        height={gauge.jacketMm * scale}
        fill={layerFill.jacket}
      />
      <path
        d={`M${jacketX} 4V${firstRow + 12}`}
        stroke="var(--copper)"
        strokeWidth={active === 'jacket' ? 3 : 1.4}
      />
      {rows.map(({ layer, from, to, label }, k) => (
        <Dimension
          key={layer}
          fromX={x(from)}
          toX={x(to)}
          {...(narrow
            ? { labelX: PAD, labelY: firstRow + k * row + 27 }
            : { labelX: jacketX + 10, labelY: firstRow + k * row + 15 })}
          y={firstRow + k * row + 10}
          label={label}
          active={layer === active}
        />
      ))}
    </svg>
  );
}

function Bare({
  stretch,
  x,
  axis,
  scale,
  weave,
}: {
  stretch: GaugeStretch;
  x: number;
  axis: number;
  scale: number;
  weave: string;
}): ReactNode {
  const height = Math.max(stretch.diameterMm * scale, 4);
  const box = { x, y: axis - height / 2, width: stretch.lengthMm * scale, height };
  return (
    <g>
      <rect
        {...box}
        fill={layerFill[stretch.layer]}
        stroke="var(--ink)"
        strokeWidth={stretch.layer === 'centre' ? 0 : 1}
      />
      {stretch.layer === 'braid' && <rect {...box} fill={`url(#${weave})`} />}
    </g>
  );
}

function Dimension({
  fromX,
  toX,
  labelX,
  labelY,
  y,
  label,
  active,
}: {
  fromX: number;
  toX: number;
  labelX: number;
  labelY: number;
  y: number;
  label: string;
  active: boolean;
}): ReactNode {
  const colour = active ? 'var(--copper)' : 'var(--ink)';
  return (
    <g stroke={colour}>
      <path
        d={`M${fromX} ${y}H${toX}M${fromX} ${y - 6}v12M${toX} ${y - 6}v12`}
        strokeWidth={active ? 2.5 : 1.2}
      />
      {toX < labelX - 14 && (
        <path d={`M${toX + 4} ${y}H${labelX - 4}`} stroke="var(--rule)" strokeDasharray="2 3" />
      )}
      <text
        x={labelX}
        y={labelY}
        fontSize={16}
        fontWeight={active ? 800 : 600}
        stroke="none"
        style={{ fill: colour }}
        className="figures"
      >
        {label}
      </text>
    </g>
  );
}
