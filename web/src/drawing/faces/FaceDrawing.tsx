import { faceInFull, type Face } from '@kobran/core';
import { useId, type ReactNode } from 'react';
import { faceSection, faceSize, type Material } from './section.js';

const fill: Record<Material, string> = {
  metal: 'var(--paper)',
  dielectric: 'var(--dielectric)',
  copper: 'var(--copper)',
  hole: 'var(--paper)',
  thread: 'var(--paper)',
};

/** Shapes of one face; `turned` makes it look to the left. The mating plane is at x = 0 of its own group. */
export function SectionShapes({
  face,
  turned,
  scale,
  hatch,
}: {
  face: Face;
  turned: boolean;
  scale: number;
  hatch: string;
}): ReactNode {
  return (
    <g transform={`scale(${turned ? -scale : scale} ${scale})`}>
      {faceSection(face).map(({ material, x, y, width, height }, k) => (
        <g key={k}>
          <rect
            x={x}
            y={y}
            width={width}
            height={height}
            fill={fill[material]}
            stroke="var(--ink)"
            strokeWidth={(material === 'copper' ? 0 : 1) / scale}
          />
          {(material === 'metal' || material === 'thread') && (
            <rect x={x} y={y} width={width} height={height} fill={`url(#${hatch}-${material})`} />
          )}
        </g>
      ))}
    </g>
  );
}

export function Hatches({ id, scale }: { id: string; scale: number }): ReactNode {
  const pitch = 4.5 / scale;
  return (
    <defs>
      <pattern
        id={`${id}-metal`}
        width={pitch}
        height={pitch}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <path d={`M0 0V${pitch}`} stroke="var(--ink)" strokeWidth={0.8 / scale} />
      </pattern>
      <pattern id={`${id}-thread`} width={pitch * 0.55} height={pitch} patternUnits="userSpaceOnUse">
        <path d={`M0 0V${pitch}`} stroke="var(--ink)" strokeWidth={1.1 / scale} />
      </pattern>
    </defs>
  );
}

const GAP_MM = 5;

/** Two faces about to meet, to one scale, in section. Decorative beside the words which say the same. */
export function JointDrawing({
  left,
  right,
  width,
  height,
}: {
  left: Face;
  right: Face;
  width: number;
  height: number;
}): ReactNode {
  const hatch = useId();
  const a = faceSize(left);
  const b = faceSize(right);
  const lengthMm = a.lengthMm + GAP_MM + b.lengthMm;
  const scale = Math.min((width - 8) / lengthMm, (height - 6) / Math.max(a.diameterMm, b.diameterMm));
  const start = (width - lengthMm * scale) / 2;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      className="block text-ink"
    >
      <Hatches id={hatch} scale={scale} />
      <path d={`M2 ${height / 2}H${width - 2}`} stroke="var(--edge)" strokeDasharray="10 3 2 3" />
      <g transform={`translate(${start + a.lengthMm * scale} ${height / 2})`}>
        <SectionShapes face={left} turned={false} scale={scale} hatch={hatch} />
      </g>
      <g transform={`translate(${start + (a.lengthMm + GAP_MM) * scale} ${height / 2})`}>
        <SectionShapes face={right} turned scale={scale} hatch={hatch} />
      </g>
    </svg>
  );
}

/** One face in section, with its name for those who do not see it; a quiz leaves the name out. */
export function FaceDrawing({
  face,
  turned = false,
  unnamed = false,
  most = 5,
  width,
  height,
}: {
  face: Face;
  turned?: boolean;
  unnamed?: boolean;
  /** Largest scale, px per mm. */
  most?: number;
  width: number;
  height: number;
}): ReactNode {
  const hatch = useId();
  const { lengthMm, diameterMm } = faceSize(face);
  const scale = Math.min((width - 8) / lengthMm, (height - 6) / diameterMm, most);
  const plane = turned ? (width - lengthMm * scale) / 2 : (width + lengthMm * scale) / 2;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      {...(unnamed
        ? { 'aria-hidden': true }
        : { role: 'img', 'aria-label': `${faceInFull(face)}, in section` })}
      className="mx-auto block text-ink"
    >
      <Hatches id={hatch} scale={scale} />
      <path d={`M2 ${height / 2}H${width - 2}`} stroke="var(--edge)" strokeDasharray="10 3 2 3" />
      <g transform={`translate(${plane} ${height / 2})`}>
        <SectionShapes face={face} turned={turned} scale={scale} hatch={hatch} />
      </g>
    </svg>
  );
}
