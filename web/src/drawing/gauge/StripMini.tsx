import type { GaugeStretch } from '@kobran/core';
import type { ReactNode } from 'react';
import { layerFill } from './layers.js';

const HEIGHT = 34;

/** A strip in small, beside others at the same scale. */
export function StripMini({
  stretches,
  longestMm,
  width,
}: {
  stretches: readonly GaugeStretch[];
  /** Length of the longest of those which stand beside each other. */
  longestMm: number;
  width: number;
}): ReactNode {
  const scale = (width - 16) / longestMm;
  const widestMm = Math.max(...stretches.map(({ diameterMm }) => diameterMm)) * 1.25;
  const starts = stretches.map((_, k) => stretches.slice(0, k).reduce((sum, one) => sum + one.lengthMm, 0));
  const strippedMm = stretches.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const high = (diameterMm: number): number => Math.max(4, (diameterMm / widestMm) * HEIGHT);
  return (
    <svg width={width} height={HEIGHT + 2} aria-hidden="true" className="block shrink-0">
      {stretches.map(({ layer, lengthMm, diameterMm }, k) => (
        <rect
          key={layer}
          x={1 + starts[k] * scale}
          y={1 + (HEIGHT - high(diameterMm)) / 2}
          width={lengthMm * scale}
          height={high(diameterMm)}
          fill={layerFill[layer]}
          stroke="var(--ink)"
          strokeWidth={0.8}
        />
      ))}
      <rect x={1 + strippedMm * scale} y={1} width={14} height={HEIGHT} fill="var(--ink)" />
    </svg>
  );
}
