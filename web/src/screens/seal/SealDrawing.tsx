import { formatLength, type SealLayer, type SealPlan, type SealStretch, type WrapSheet } from '@kobran/core';
import { useEffect, useId, useState, type ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { useWidth } from '../../ui/useWidth.js';

const HEIGHT = 190;
const AXIS = 72;
/** How long a layer takes to go on in the drawing, ms. */
const WOUND_MS = 2400;

/** The joint’s stepped profile with its layers, the lower (radio) side to the left; the layer in work goes on turn by turn. */
export function SealDrawing({
  sheet,
  plan,
  upTo = plan.layers.length - 1,
  goesOn = false,
}: {
  sheet: Pick<WrapSheet, 'name' | 'profile' | 'zone'>;
  plan: SealPlan;
  /** The last layer which is shown, in work; −1 shows the bare joint. */
  upTo?: number;
  /** The layer in work goes on turn by turn. */
  goesOn?: boolean;
}): ReactNode {
  const { profile, name, zone } = sheet;
  const iced = zone === 'ice';
  const { units } = usePreferences();
  const [ref, width] = useWidth<HTMLDivElement>();
  const jointM = profile.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const scale = Math.min(
    (width - 24) / plan.length.value,
    112 / (plan.finishedDiameter.value + (iced ? 2 * GLAZE_M : 0)),
  );
  const x0 = (width - plan.length.value * scale) / 2 - plan.fromM * scale;
  const x = (alongM: number): number => x0 + alongM * scale;
  const layer = plan.layers.at(Math.max(0, upTo));
  const [fromM, toM] = upTo >= 0 && layer ? [layer.fromM, layer.toM] : [0, jointM];
  const small = (metres: number): string => formatLength(metres, { system: units, small: true, digits: 0 });
  const says = plan.layers
    .slice(0, upTo + 1)
    .map((one) => `${one.name} from ${small(-one.fromM)} below to ${small(one.toM - jointM)} above`)
    .join(', ');
  return (
    <div ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={`${name} to scale: ${profile.map((step) => step.name).join(', ')}. ${says}. ${small(plan.finishedDiameter.value)} thick in the end.${iced ? ` Ice of ${small(GLAZE_M)} grows round it.` : ''}`}
        >
          <Steps profile={profile} plan={plan} x={x} scale={scale} />
          {plan.layers.slice(0, upTo + 1).map((one, k) => (
            <Layer key={k} layer={one} x={x} scale={scale} inWork={k === upTo} goesOn={goesOn} />
          ))}
          {iced && upTo === plan.layers.length - 1 && (
            <Ice plan={plan} x={x} scale={scale} word={small(GLAZE_M)} />
          )}
          <path
            d={`M${x(fromM)} ${AXIS + 64}V${HEIGHT - 22}M${x(toM)} ${AXIS + 64}V${HEIGHT - 22}M${x(fromM)} ${HEIGHT - 30}H${x(toM)}`}
            stroke="var(--ink)"
          />
          <Word x={(x(fromM) + x(toM)) / 2} y={HEIGHT - 36} bold>
            {small(toM - fromM)}
          </Word>
          <Word x={(x(fromM) + x(toM)) / 2} y={HEIGHT - 8}>
            {layer?.tape?.direction === 'down' && upTo >= 0 ? '← downwards' : 'upwards →'}
          </Word>
        </svg>
      )}
    </div>
  );
}

/** Glaze of the lightest class of ISO 12494, ICG1, m. From memory. */
const GLAZE_M = 0.01;

/** Ice as it grows round the sealed joint, heavier below: so much stays free beside it. */
function Ice({ plan, x, scale, word }: Placed & { plan: SealPlan; word: string }): ReactNode {
  const half = (plan.finishedDiameter.value / 2 + GLAZE_M) * scale;
  return (
    <>
      <rect
        x={x(plan.fromM)}
        y={AXIS - half}
        width={plan.length.value * scale}
        height={2 * half}
        rx={half / 2}
        fill="none"
        stroke="var(--lake)"
        strokeDasharray="2 4"
      />
      <Word x={x(plan.fromM + plan.length.value / 2)} y={Math.max(12, AXIS + half - 5)}>
        {`ice, ${word}`}
      </Word>
    </>
  );
}

interface Placed {
  x: (alongM: number) => number;
  scale: number;
}

/** The bare joint on its jackets. */
function Steps({
  profile,
  plan,
  x,
  scale,
}: Placed & { profile: WrapSheet['profile']; plan: SealPlan }): ReactNode {
  const [bottom] = plan.layers;
  const starts = profile.map((_, k) => profile.slice(0, k).reduce((sum, { lengthM }) => sum + lengthM, 0));
  const jointM = profile.reduce((sum, { lengthM }) => sum + lengthM, 0);
  // The jackets are as thick as the first layer’s ends, without the layer.
  const growthM =
    (bottom.surface.find(({ fromM }) => fromM >= 0)?.diameterM ?? profile[0].diameterM) -
    profile[0].diameterM;
  const jackets: SealStretch[] = [
    {
      name: 'lower jacket',
      fromM: plan.fromM - 0.008,
      toM: 0,
      diameterM: bottom.surface[0].diameterM - growthM,
    },
    {
      name: 'upper side',
      fromM: jointM,
      toM: plan.toM + 0.008,
      diameterM: bottom.surface[bottom.surface.length - 1].diameterM - growthM,
    },
  ];
  const bar = ({ name, fromM, toM, diameterM }: SealStretch, fill: string): ReactNode => (
    <rect
      key={name + fromM}
      x={x(fromM)}
      y={AXIS - (diameterM / 2) * scale}
      width={(toM - fromM) * scale}
      height={diameterM * scale}
      fill={fill}
      stroke="var(--ink)"
    />
  );
  return (
    <>
      {jackets.map((jacket) => bar(jacket, 'var(--edge)'))}
      {profile.map(({ name, lengthM, diameterM }, k) =>
        bar({ name, fromM: starts[k], toM: starts[k] + lengthM, diameterM }, 'var(--paper)'),
      )}
    </>
  );
}

/** A layer over what was there: done ones as an outline, the one in work with its turns. */
function Layer({
  layer,
  x,
  scale,
  inWork,
  goesOn,
}: Placed & { layer: SealLayer; inWork: boolean; goesOn: boolean }): ReactNode {
  const turns = layer.tape?.turns ?? 0;
  const share = useWound(inWork && goesOn && turns > 0, layer);
  const on = share * turns;
  const points = outline(layer.surface, x, scale);
  const { tape } = layer;
  const uv = tape?.tape.kind === 'vinyl';
  const clip = useId();
  return (
    <>
      <polygon
        points={points}
        fill={uv ? 'var(--rule)' : 'var(--panel)'}
        fillOpacity={0.6}
        stroke="var(--ink)"
        strokeWidth={inWork ? 2 : 1}
        strokeDasharray={inWork ? undefined : '5 3'}
      />
      <clipPath id={clip}>
        <polygon points={points} />
      </clipPath>
      {inWork &&
        tape &&
        turnsOf(layer, tape.turns, on).map(({ atM, slantM, diameterM }) => (
          <path
            key={atM}
            d={`M${x(atM)} ${AXIS + (diameterM / 2) * scale}L${x(atM + slantM)} ${AXIS - (diameterM / 2) * scale}`}
            stroke="var(--ink)"
            strokeWidth={1.5}
            clipPath={`url(#${clip})`}
          />
        ))}
    </>
  );
}

/** Where the seen half of each turn runs. */
function turnsOf(
  { fromM, toM, surface, tape }: SealLayer,
  turns: number,
  on: number,
): { atM: number; slantM: number; diameterM: number }[] {
  const advanceM = (toM - fromM) / turns;
  const up = tape?.direction !== 'down';
  return Array.from({ length: Math.min(Math.floor(on), Math.floor(turns)) }, (_, k) => {
    const atM = up ? fromM + k * advanceM : toM - (k + 0.5) * advanceM;
    const diameterM =
      surface.find((one) => atM >= one.fromM && atM <= one.toM)?.diameterM ?? surface[0].diameterM;
    return { atM, slantM: (up ? 1 : -1) * (advanceM / 2), diameterM };
  });
}

function outline(surface: readonly SealStretch[], x: Placed['x'], scale: number): string {
  const edge = (side: 1 | -1): string[] =>
    surface.flatMap(({ fromM, toM, diameterM }) => {
      const y = AXIS + side * (diameterM / 2) * scale;
      return [`${x(fromM)},${y}`, `${x(toM)},${y}`];
    });
  return [...edge(-1), ...edge(1).toReversed()].join(' ');
}

/** The share of a layer which is on, growing; all of it at once where motion is not wanted. */
function useWound(moves: boolean, of: object): number {
  const [share, setShare] = useState(1);
  useEffect(() => {
    if (!moves || matchMedia('(prefers-reduced-motion: reduce)').matches) return undefined;
    const begun = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      const done = Math.min(1, (now - begun) / WOUND_MS);
      setShare(done);
      if (done < 1) frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [moves, of]);
  return share;
}

function Word({
  x,
  y,
  bold = false,
  children,
}: {
  x: number;
  y: number;
  bold?: boolean;
  children: string;
}): ReactNode {
  return (
    <text
      x={x}
      y={y}
      fontSize={13}
      fontWeight={bold ? 700 : 400}
      textAnchor="middle"
      className="figures"
      fill="var(--ink)"
      stroke="var(--sheet)"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}
