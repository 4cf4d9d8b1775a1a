import { farEndNames, formatLength, type BenchHands } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const TALL = 96;
const MIDDLE = 56;
const BOX = 92;
const END = 96;

/** The instrument’s port to the left, what lies on the bench, and what closes its far end. */
export function BenchDrawing({
  name,
  lengthM,
  hands,
}: {
  name: string;
  lengthM: number | undefined;
  hands: BenchHands;
}): ReactNode {
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const lengthText = lengthM === undefined ? '' : formatLength(lengthM, { system: units, digits: 3 });
  const bare = hands.cableM !== undefined;
  const farX = width - END;
  const state = [
    bare ? 'near connector on, far end bare' : '',
    hands.rained ? 'after rain' : '',
    hands.wiggled ? 'being wiggled' : '',
  ].filter(Boolean);
  return (
    <div ref={ref} className="rounded border border-rule bg-paper">
      {width > 0 && (
        <svg
          width={width}
          height={TALL}
          role="img"
          aria-label={`Instrument, ${name}${lengthText && `, ${lengthText}`}, ${farEndNames[hands.far]} on the far end${state.map((one) => `, ${one}`).join('')}.`}
        >
          <rect
            x={12}
            y={MIDDLE - 22}
            width={BOX - 24}
            height={44}
            fill="var(--panel)"
            stroke="var(--edge)"
          />
          <text x={BOX / 2} y={MIDDLE + 5} textAnchor="middle" fontSize={13}>
            port
          </text>
          <rect x={BOX - 12} y={MIDDLE - 9} width={26} height={18} fill="var(--braid)" stroke="var(--ink)" />
          <path
            d={
              hands.wiggled
                ? wave(BOX + 14, farX - (bare ? 0 : 26))
                : `M${BOX + 14} ${MIDDLE}H${farX - (bare ? 0 : 26)}`
            }
            fill="none"
            stroke="var(--ink)"
            strokeWidth={8}
          />
          {bare ? (
            <path d={`M${farX} ${MIDDLE}h14`} stroke="var(--copper)" strokeWidth={3} />
          ) : (
            <rect
              x={farX - 26}
              y={MIDDLE - 9}
              width={26}
              height={18}
              fill="var(--braid)"
              stroke="var(--ink)"
            />
          )}
          <FarEnd far={hands.far} x={farX + (bare ? 14 : 0)} />
          <text x={(BOX + farX) / 2} y={24} textAnchor="middle" fontSize={15} fontWeight={700}>
            {name}
            {lengthText && <tspan className="figures" fontWeight={400}>{`  ${lengthText}`}</tspan>}
          </text>
          <text x={(BOX + farX) / 2} y={TALL - 8} textAnchor="middle" fontSize={13} fill="var(--muted)">
            {state.join(', ')}
          </text>
        </svg>
      )}
    </div>
  );
}

function wave(from: number, to: number): string {
  const humps = 7;
  const step = (to - from) / humps;
  let path = `M${from} ${MIDDLE}`;
  for (let k = 0; k < humps; k++) path += `q${step / 2} ${k % 2 === 0 ? -14 : 14} ${step} 0`;
  return path;
}

/** What closes the far end, as a schematic shows it. */
function FarEnd({ far, x }: { far: BenchHands['far']; x: number }): ReactNode {
  const label = { load: '50 Ω', open: 'open', short: 'short', antenna: 'antenna' }[far];
  return (
    <>
      {far === 'load' && (
        <path
          d={`M${x} ${MIDDLE}h14m0 -10h14v20h-14zm7 20v12m-10 0h20`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      )}
      {far === 'open' && (
        <circle cx={x + 16} cy={MIDDLE} r={5} fill="none" stroke="var(--ink)" strokeWidth={2} />
      )}
      {far === 'short' && (
        <path d={`M${x} ${MIDDLE}h18v22m-10 0h20`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      )}
      {far === 'antenna' && (
        <path
          d={`M${x} ${MIDDLE}h18v-30m-12 -8l12 12l12 -12`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      )}
      <text x={x + 36} y={MIDDLE + 5} fontSize={13}>
        {label}
      </text>
    </>
  );
}
