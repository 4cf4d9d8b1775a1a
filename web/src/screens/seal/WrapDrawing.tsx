import { formatLength, type Wrap, type WrapSheet } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const HEIGHT = 172;
const AXIS = 66;

/** The joint’s stepped profile with the rubber over it and the vinyl beyond; the lower (radio) side to the left. */
export function WrapDrawing({ sheet, wrap }: { sheet: WrapSheet; wrap: Wrap }): ReactNode {
  const { profile, name } = sheet;
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const jointM = profile.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const runOutM = (wrap.length.value - jointM) / 2;
  const shownM = wrap.length.value + 0.06;
  const scale = Math.min(width / shownM, 100 / wrap.finishedDiameter.value);
  const x0 = (width - wrap.length.value * scale) / 2;
  const lower = profile[0];
  const upper = profile[profile.length - 1];
  const steps = [
    { name: 'below', lengthM: runOutM, diameterM: lower.diameterM * 0.8 },
    ...profile,
    { name: 'above', lengthM: runOutM, diameterM: upper.diameterM },
  ];
  const growth = wrap.finishedDiameter.value - Math.max(...profile.map(({ diameterM }) => diameterM));
  const starts = steps.map((_, k) => steps.slice(0, k).reduce((sum, { lengthM }) => sum + lengthM, 0));
  const x = (alongM: number): number => x0 + alongM * scale;
  const outline = (extraM: number): string => {
    const top = steps.flatMap(({ lengthM, diameterM }, k) => {
      const y = AXIS - ((diameterM + extraM) / 2) * scale;
      return [`${x(starts[k])},${y}`, `${x(starts[k] + lengthM)},${y}`];
    });
    const bottom = steps.flatMap(({ lengthM, diameterM }, k) => {
      const y = AXIS + ((diameterM + extraM) / 2) * scale;
      return [`${x(starts[k])},${y}`, `${x(starts[k] + lengthM)},${y}`];
    });
    return [...top, ...bottom.toReversed()].join(' ');
  };
  const from = formatLength(runOutM, { system: units, small: true });
  const total = formatLength(wrap.length.value, { system: units, small: true });
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`${name} to scale: ${profile.map(({ name }) => name).join(', ')}; rubber from ${from} below the joint, ${total} in all.`}
        >
          <polygon points={outline(growth)} fill="var(--panel)" stroke="var(--ink)" strokeDasharray="5 3" />
          {steps.map(({ lengthM, diameterM, name }, k) => (
            <rect
              key={name}
              x={x(starts[k])}
              y={AXIS - (diameterM / 2) * scale}
              width={lengthM * scale}
              height={diameterM * scale}
              fill={k === 0 || k === steps.length - 1 ? 'var(--edge)' : 'var(--paper)'}
              stroke="var(--ink)"
            />
          ))}
          <path
            d={`M${x(0)} ${AXIS - 58}V${HEIGHT - 22}M${x(wrap.length.value)} ${AXIS - 58}V${HEIGHT - 22}`}
            stroke="var(--ink)"
            strokeWidth={2}
          />
          <path d={`M${x(0)} ${HEIGHT - 30}H${x(wrap.length.value)}`} stroke="var(--ink)" />
          <text x={x(0)} y={HEIGHT - 6} fontSize={13} textAnchor="middle">
            start
          </text>
          <text x={x(wrap.length.value)} y={HEIGHT - 6} fontSize={13} textAnchor="middle">
            stop
          </text>
          <text
            x={width / 2}
            y={HEIGHT - 35}
            fontSize={13}
            fontWeight={700}
            textAnchor="middle"
            className="figures"
            stroke="var(--sheet)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {total}
          </text>
          <text x={width / 2} y={HEIGHT - 6} fontSize={13} textAnchor="middle" fill="var(--muted)">
            work upwards →
          </text>
        </svg>
      )}
    </div>
  );
}
