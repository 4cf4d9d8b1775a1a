import { faceInFull, type Face } from '@kobran/core';
import { useId, type ReactNode } from 'react';
import { faceFront, frontSizeMm, type FrontMaterial, type FrontShape } from './front.js';

const fill: Record<FrontMaterial, string> = {
  metal: 'var(--paper)',
  thread: 'var(--sheet)',
  hollow: 'var(--panel)',
  dielectric: 'var(--dielectric)',
  copper: 'var(--copper)',
  hole: 'var(--ink)',
};

const hexagon = (flatsMm: number): string =>
  Array.from({ length: 6 }, (_, k) => {
    const angle = (Math.PI / 3) * k + Math.PI / 6;
    const radius = flatsMm / 2 / Math.cos(Math.PI / 6);
    return `${(radius * Math.cos(angle)).toFixed(3)},${(radius * Math.sin(angle)).toFixed(3)}`;
  }).join(' ');

function Shape({ shape, scale }: { shape: FrontShape; scale: number }): ReactNode {
  const shared = {
    fill: fill[shape.material],
    stroke: 'var(--ink)',
    strokeWidth: (shape.material === 'copper' ? 0 : 1) / scale,
  };
  switch (shape.kind) {
    case 'circle':
      return (
        <>
          <circle cx={shape.x} cy={shape.y} r={shape.diameterMm / 2} {...shared} />
          {shape.material === 'thread' && (
            <circle
              r={shape.diameterMm * 0.475}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={shape.diameterMm * 0.035}
              strokeDasharray={`${shape.diameterMm * 0.03} ${shape.diameterMm * 0.035}`}
            />
          )}
        </>
      );
    case 'hex':
      return <polygon points={hexagon(shape.flatsMm)} {...shared} />;
    case 'bar':
      return (
        <rect
          x={shape.fromMm}
          y={-shape.widthMm / 2}
          width={shape.toMm - shape.fromMm}
          height={shape.widthMm}
          transform={`rotate(${shape.angleDeg})`}
          {...shared}
        />
      );
  }
}

/** A face looking at you, drawn from its dimensions. `label` says it to those who do not see; empty hides it, as in a quiz. */
export function FaceFront({
  face,
  size,
  pxPerMm,
  label,
}: {
  face: Face;
  size: number;
  /** One scale for several faces side by side; else it fills its place. */
  pxPerMm?: number;
  label?: string;
}): ReactNode {
  const id = useId();
  const scale = Math.min(pxPerMm ?? Infinity, (size - 6) / frontSizeMm(face));
  return (
    <svg
      width={size}
      height={size}
      viewBox={`0 0 ${size} ${size}`}
      {...(label === ''
        ? { 'aria-hidden': true }
        : { role: 'img', 'aria-label': label ?? `${faceInFull(face)}, from the front` })}
      className="block text-ink"
    >
      <g transform={`translate(${size / 2} ${size / 2}) scale(${scale})`}>
        {faceFront(face).map((shape, k) => (
          <Shape key={`${id}${k}`} shape={shape} scale={scale} />
        ))}
      </g>
    </svg>
  );
}
