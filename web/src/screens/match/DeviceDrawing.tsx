import { formatLength, type MatchDevice, type MatchPiece } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const TALL = 136;
const LOW = 88;
const LINE_Y = 46;
const PORT = 64;
const LOAD = 84;
const LOOP = 220;
const SHARE = 0.42;

/** The device as a schematic: what lies in the line to its length, a stub hanging from it, the loop of a balun below. */
export function DeviceDrawing({ device }: { device: MatchDevice }): ReactNode {
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const lengthText = (metres: number): string => formatLength(metres, { system: units, digits: 3 });
  const inLine = device.pieces.filter(({ far }) => far === undefined && device.elements.length > 0);
  const hanging = device.pieces.filter((piece) => !inLine.includes(piece));
  const room = Math.max(80, width - PORT - LOAD - 40);
  const longest = device.pieces.reduce((sum, { lengthM }) => Math.max(sum, lengthM), 0);
  const total = inLine.reduce((sum, { lengthM }) => sum + lengthM, 0) || longest;
  const loops = hanging.some(({ far }) => far === undefined);
  const scale = room / Math.max(total, longest * 1.6);
  const start = PORT + 30;
  const drawn = inLine.reduce<{ piece: MatchPiece; from: number; to: number }[]>((before, piece) => {
    const from = before.at(-1)?.to ?? start;
    return [...before, { piece, from, to: from + Math.max(40, piece.lengthM * scale) }];
  }, []);
  const end = drawn.at(-1)?.to ?? start + room * SHARE;
  const words = device.pieces.map(
    ({ name, lengthM, degrees }) => `${name} ${lengthText(lengthM)}, ${degrees.toFixed(0)} degrees`,
  );
  return (
    <div ref={ref} className="my-3 rounded border border-rule bg-paper">
      {width > 0 && (
        <svg
          width={width}
          height={hanging.length > 0 ? TALL : LOW}
          role="img"
          aria-label={`${device.name}: ${words.join('; ')}.`}
        >
          <text x={10} y={LINE_Y + 5} fontSize={13}>
            to the radio
          </text>
          <path d={`M${PORT + 24} ${LINE_Y}H${end}`} stroke="var(--ink)" strokeWidth={3} />
          {drawn.map(({ piece, from, to }, k) => (
            <g key={piece.name}>
              <rect
                x={from}
                y={LINE_Y - 7}
                width={to - from}
                height={14}
                fill={k === 0 && hanging.length === 0 ? 'var(--copper)' : 'var(--ink)'}
              />
              <text x={(from + to) / 2} y={LINE_Y - 14} fontSize={13} textAnchor="middle">
                {piece.name}
              </text>
              <text x={(from + to) / 2} y={LINE_Y + 26} fontSize={13} textAnchor="middle" className="figures">
                {lengthText(piece.lengthM)}
              </text>
            </g>
          ))}
          {hanging.map((piece) => {
            const deep = 64;
            const isLoop = piece.far === undefined;
            const at = drawn.length > 0 ? start : end;
            return (
              <g key={piece.name}>
                <path
                  d={
                    isLoop
                      ? `M${at} ${LINE_Y}v${deep - 6}q0 14 14 14h${LOOP}q14 0 14 -14v${-deep + 6}`
                      : `M${at} ${LINE_Y}v${deep}`
                  }
                  fill="none"
                  stroke="var(--copper)"
                  strokeWidth={10}
                />
                {piece.far === 'shorted' && (
                  <path d={`M${at - 14} ${LINE_Y + deep + 2}h28`} stroke="var(--ink)" strokeWidth={4} />
                )}
                <text x={at + (isLoop ? 26 : 14)} y={LINE_Y + deep - 8} fontSize={13}>
                  {piece.name}, <tspan className="figures">{lengthText(piece.lengthM)}</tspan>
                </text>
              </g>
            );
          })}
          <rect
            x={end + 6}
            y={LINE_Y - 16}
            width={loops ? LOOP + 16 : 22}
            height={32}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth={2}
          />
          <text x={loops ? end + 20 : end + 36} y={LINE_Y + 5} fontSize={13}>
            {loops ? 'both sides of the antenna' : 'antenna'}
          </text>
        </svg>
      )}
    </div>
  );
}
