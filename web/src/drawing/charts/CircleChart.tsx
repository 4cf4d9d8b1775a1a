import { formatFrequency, type Complexes } from '@kobran/core';
import type { ReactNode } from 'react';

const SIZE = 280;
const MIDDLE = SIZE / 2;
const RADIUS = MIDDLE - 26;
/** SWR circles drawn for reading. */
const SWRS = [1.5, 2, 3];

interface Props {
  frequencyHz: Float64Array;
  measured: Complexes;
  predicted: Complexes | undefined;
  referenceOhm: number;
}

/** Reflection on a disc: the middle is a match, the rim gives everything back; up is inductive, left is a short. */
export function CircleChart({ frequencyHz, measured, predicted, referenceOhm }: Props): ReactNode {
  const point = (re: number, im: number): string =>
    `${(MIDDLE + re * RADIUS).toFixed(1)} ${(MIDDLE - im * RADIUS).toFixed(1)}`;
  const path = ({ re, im }: Complexes): string =>
    `M${Array.from(re, (value, k) => point(value, im[k])).join('L')}`;
  const last = frequencyHz.length - 1;
  const [x, y] = [measured.re[last], measured.im[last]];
  const impedance = ohmsOf(x, y, referenceOhm);
  return (
    <figure>
      <svg
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={`Reflection as a disc, reference ${referenceOhm} ohm. At ${formatFrequency(frequencyHz[last])} the impedance is ${impedance}.`}
        className="block max-w-full"
      >
        <circle
          cx={MIDDLE}
          cy={MIDDLE}
          r={RADIUS}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        {SWRS.map((swr) => {
          const r = ((swr - 1) / (swr + 1)) * RADIUS;
          return (
            <g key={swr}>
              <circle cx={MIDDLE} cy={MIDDLE} r={r} fill="none" stroke="var(--rule)" />
              <text x={MIDDLE} y={MIDDLE - r - 2} fontSize={13} textAnchor="middle" fill="var(--muted)">
                {swr}
              </text>
            </g>
          );
        })}
        <path d={`M${MIDDLE - RADIUS} ${MIDDLE}H${MIDDLE + RADIUS}`} stroke="var(--rule)" />
        <text x={2} y={MIDDLE - 4} fontSize={13} fill="var(--muted)">
          0
        </text>
        <text x={SIZE - 2} y={MIDDLE - 4} fontSize={13} textAnchor="end" fill="var(--muted)">
          ∞
        </text>
        <text x={MIDDLE} y={14} fontSize={13} textAnchor="middle" fill="var(--muted)">
          inductive
        </text>
        <text x={MIDDLE} y={SIZE - 6} fontSize={13} textAnchor="middle" fill="var(--muted)">
          capacitive
        </text>
        {predicted && (
          <path d={path(predicted)} fill="none" stroke="var(--ink)" strokeWidth={1.2} strokeDasharray="5 4" />
        )}
        <path d={path(measured)} fill="none" stroke="var(--lake)" strokeWidth={1.8} />
        <circle cx={MIDDLE + x * RADIUS} cy={MIDDLE - y * RADIUS} r={4} fill="var(--copper)" />
      </svg>
      <figcaption className="text-sm text-muted">
        Rings are SWR; the copper dot is {formatFrequency(frequencyHz[last])}, {impedance}.
      </figcaption>
    </figure>
  );
}

/** Z = Z0 (1 + Γ)/(1 − Γ), written as one says it. */
function ohmsOf(re: number, im: number, ohm: number): string {
  const size = (1 - re) ** 2 + im ** 2;
  if (size < 1e-9) return 'open';
  const r = (ohm * (1 - re * re - im * im)) / size;
  const x = (ohm * 2 * im) / size;
  return `${r.toFixed(0)} ${x < 0 ? '−' : '+'} j${Math.abs(x).toFixed(0)} Ω`;
}
