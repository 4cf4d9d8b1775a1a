import { formatLength } from '@kobran/core';
import { bisectCenter, line, scaleLinear } from 'd3';
import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { drawnPoints } from './drawnPoints.js';
import { useWidth } from '../../ui/useWidth.js';

interface Curve {
  distanceM: Float64Array;
  /** 1 where everything comes back. */
  magnitude: Float64Array;
}

interface Props {
  summary: string;
  totalM: number;
  places: readonly { atM: number; name: string }[];
  measured: Curve;
  predicted: Curve | undefined;
  /** The place which is looked at alone. */
  chosenM: number | undefined;
}

const PAD = { left: 46, right: 14, top: 62, bottom: 34 };
const HEIGHT = 250;
/** Below this width the axis says less, px. */
const NARROW_PX = 560;
/** Echoes below this are noise to an installer, dB. */
const FLOOR_DB = 60;

const db = (magnitude: number): number => Math.max(0, FLOOR_DB + 20 * Math.log10(Math.max(magnitude, 1e-6)));

/** `J2`, or `J2, J3` where joints stand too close to be written apart. */
function labelFrom(places: Props['places'], k: number, x: (metres: number) => number): string {
  const near = places.filter(({ atM }, other) => other >= k && x(atM) - x(places[k].atM) < 22);
  const short = near.flatMap(({ name }) => /^J\d+/.exec(name)?.[0] ?? []);
  return short.join(', ');
}

/** What comes back from where, on the ruler of the run: measured over predicted, joints by number. */
export function EchoChart({ summary, totalM, places, measured, predicted, chosenM }: Props): ReactNode {
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const [at, setAt] = useState<number>();
  const x = scaleLinear()
    .domain([0, totalM * 1.08])
    .range([PAD.left, Math.max(width - PAD.right, PAD.left + 1)]);
  const y = scaleLinear()
    .domain([0, FLOOR_DB])
    .range([HEIGHT - PAD.bottom, PAD.top]);
  const path = ({ distanceM, magnitude }: Curve): string =>
    line<number>()
      .x((k) => x(distanceM[k]))
      .y((k) => y(db(magnitude[k])))(drawnPoints(magnitude, (k) => x(distanceM[k]))) ?? '';
  const metres = (value: number): string => formatLength(value, { system: units });
  const move = (event: PointerEvent<SVGSVGElement>): void =>
    setAt(bisectCenter(Array.from(measured.distanceM), x.invert(event.nativeEvent.offsetX)));
  const step = (event: KeyboardEvent): void => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const stride = Math.max(1, Math.round(measured.distanceM.length / 120));
    setAt((now) => Math.max(0, Math.min((now ?? 0) + by * stride, measured.distanceM.length - 1)));
  };
  const read =
    at === undefined
      ? undefined
      : `${metres(measured.distanceM[at])}: return loss ${(FLOOR_DB - db(measured.magnitude[at])).toFixed(1)} dB`;
  return (
    <div ref={ref} className="min-w-0">
      {width > 0 && (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          tabIndex={0}
          aria-label={`Echo along the run. ${summary}${read ? ` Reading: ${read}.` : ' Arrow keys read values.'}`}
          className="block"
          onPointerMove={move}
          onPointerLeave={() => setAt(undefined)}
          onKeyDown={step}
          onBlur={() => setAt(undefined)}
        >
          <text x={PAD.left} y={13} fontSize={13} fontWeight={700}>
            Echo along the run
          </text>
          <text x={PAD.left} y={30} fontSize={13} fill="var(--muted)" className="figures">
            {read ??
              (width < NARROW_PX
                ? 'return loss, dB'
                : 'return loss of each place, dB; loss on the way given back')}
          </text>
          {[0, 20, 40].map((level) => (
            <g key={level}>
              <path d={`M${PAD.left} ${y(FLOOR_DB - level)}H${width - PAD.right}`} stroke="var(--rule)" />
              <text
                x={PAD.left - 6}
                y={y(FLOOR_DB - level) + 4}
                fontSize={13}
                textAnchor="end"
                className="figures"
                fill="var(--muted)"
              >
                {level}
              </text>
            </g>
          ))}
          {places.map(({ atM, name }, k) => (
            <g key={`${name}${atM}`}>
              <path
                d={`M${x(atM)} ${PAD.top}V${HEIGHT - PAD.bottom}`}
                stroke="var(--edge)"
                strokeDasharray="2 4"
              />
              <text x={x(atM)} y={PAD.top - 8} fontSize={13} textAnchor="middle" fill="var(--muted)">
                {k > 0 && x(atM) - x(places[k - 1].atM) < 22 ? '' : labelFrom(places, k, (m) => x(m))}
              </text>
            </g>
          ))}
          {x.ticks(Math.max(2, Math.floor(width / 140))).map((metre) => (
            <text
              key={metre}
              x={x(metre)}
              y={HEIGHT - PAD.bottom + 18}
              fontSize={13}
              textAnchor="middle"
              className="figures"
            >
              {metres(metre)}
            </text>
          ))}
          {predicted && (
            <path
              d={path(predicted)}
              fill="none"
              stroke="var(--ink)"
              strokeDasharray="6 4"
              strokeWidth={1.5}
            />
          )}
          <path d={path(measured)} fill="none" stroke="var(--lake)" strokeWidth={2} />
          {chosenM !== undefined && (
            <path
              d={`M${x(chosenM)} ${PAD.top}V${HEIGHT - PAD.bottom}`}
              stroke="var(--copper)"
              strokeWidth={2}
            />
          )}
          {at !== undefined && (
            <circle
              cx={x(measured.distanceM[at])}
              cy={y(db(measured.magnitude[at]))}
              r={4}
              fill="var(--copper)"
            />
          )}
          <text x={width - PAD.right} y={13} fontSize={13} textAnchor="end" fontWeight={600}>
            <tspan style={{ fill: 'var(--lake)' }}>measured</tspan>
            {predicted && <tspan dx={10}>- - predicted</tspan>}
          </text>
        </svg>
      )}
    </div>
  );
}
