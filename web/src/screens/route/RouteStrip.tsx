import { formatLength, heightProfile, type HeightProfile } from '@kobran/core';
import { line as lineOf, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { Axis } from '../../drawing/ruler/Axis.js';
import { rulerScale, type RulerScale } from '../../drawing/ruler/scale.js';
import { useOpenRun } from '../../store/RunContext.js';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const PROFILE_PX = 90;

/** The legs on the run’s own ruler, slack as a loop at the end of its leg; over them how high it is, where a site says so. */
export function RouteStrip(): ReactNode {
  const { sheet, editor, place } = useOpenRun();
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const { design } = editor;
  const { legs } = design;
  const endM = Math.max(sheet.route.total.value, sheet.totalM);
  const scale = rulerScale(endM, width);
  const profile = place && heightProfile(design, place);
  const top = profile ? PROFILE_PX : 0;
  const words = legs.map(({ name, zone, lengthM }) => `${name}, ${zone}, ${lengthM.toFixed(1)} m`).join('; ');
  const heights = profile?.line.map(({ zM }) => zM) ?? [];
  const high = profile
    ? ` It begins at ${formatLength(heights[0], { system: units })} and ends at ${formatLength(heights[heights.length - 1], { system: units })} of height, with ${profile.bends.length} bends.`
    : '';
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={112 + top}
          role="img"
          aria-label={`Route from the radio: ${words}. The run itself is ${sheet.totalM.toFixed(2)} m.${high}`}
        >
          <Axis scale={scale} totalM={endM} width={width} />
          {profile && <Profile profile={profile} scale={scale} width={width} />}
          <g transform={`translate(0 ${top})`}>
            {sheet.route.spans.map(({ fromM, toM, zone, leg }) => {
              const [x, end] = [scale(fromM), scale(toM)];
              const { name, slackM } = legs[leg];
              return (
                <g key={leg}>
                  <rect
                    x={x}
                    y={32}
                    width={end - x}
                    height={44}
                    fill={`var(--zone-${zone})`}
                    stroke="var(--rule)"
                  />
                  {slackM > 0 && (
                    <circle cx={end - 9} cy={60} r={6} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
                  )}
                  {end - x > name.length * 7.5 && (
                    <text x={x + 6} y={48} fontSize={13} fontWeight={600}>
                      {name}
                    </text>
                  )}
                  {end - x > 70 && (
                    <text x={x + 6} y={66} fontSize={13} fill="var(--muted)">
                      {zone}
                    </text>
                  )}
                </g>
              );
            })}
            <path d={`M${scale(0)} 90H${scale(sheet.totalM)}`} stroke="var(--ink)" strokeWidth={5} />
            <path d={`M${scale(sheet.route.total.value)} 80V100`} stroke="var(--ink)" strokeWidth={2} />
            <text x={scale(0)} y={110} fontSize={13} fill="var(--muted)">
              the run as planned; the tick: what the route asks for
            </text>
          </g>
        </svg>
      )}
    </div>
  );
}

/** How high the run is, with its bends as dots; heights at both ends of the scale. */
function Profile({
  profile: { line, bends },
  scale,
  width,
}: {
  profile: HeightProfile;
  scale: RulerScale;
  width: number;
}): ReactNode {
  const { units } = usePreferences();
  const heights = line.map(({ zM }) => zM);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const up = scaleLinear([low, Math.max(high, low + 1)], [32 + PROFILE_PX - 14, 48]);
  const path = lineOf<{ atM: number; zM: number }>(
    ({ atM }) => scale(atM),
    ({ zM }) => up(zM),
  );
  return (
    <g>
      {[...new Set([low, high])].map((zM) => (
        <path key={zM} d={`M${scale(0)} ${up(zM)}H${width}`} stroke="var(--rule)" />
      ))}
      <path d={path(line) ?? ''} fill="none" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      {bends.map(({ atM, zM, degrees, radiusMm }, k) => (
        <circle
          key={k}
          cx={scale(atM)}
          cy={up(zM)}
          r={4.5}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={1.6}
        >
          <title>{`${degrees}° bend, radius ${formatLength(radiusMm / 1000, { system: units, small: true, digits: 0 })}`}</title>
        </circle>
      ))}
      <text x={scale(0) + 2} y={up(high) - 4} fontSize={13} fill="var(--muted)">
        height {formatLength(high, { system: units, digits: 1 })}
      </text>
      {high > low && (
        <text x={scale(0) + 2} y={up(low) + 12} fontSize={13} fill="var(--muted)">
          {formatLength(low, { system: units, digits: 1 })}
        </text>
      )}
    </g>
  );
}
