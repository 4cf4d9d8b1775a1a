import { faceInFull, formatLength, type JointSheet, type PieceSheet, type Sheet } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { usePreferences } from '../preferences/Preferences.js';
import { JointDrawing } from '../faces/FaceDrawing.js';
import { SnagMark, snagColour } from '../shell/SnagMark.js';
import { Axis } from './Axis.js';
import { pieceTargets } from './pieceTargets.js';
import { RULER_PAD, type RulerScale } from './scale.js';

const STATION_GAP = 8;
const STATION_MOST = 212;
const STATION_LEAST = 108;
const CABLE_Y = 62;
const LEADERS_Y = 104;

interface Props {
  sheet: Sheet;
  scale: RulerScale;
  width: number;
  /** Id of the selected joint or piece. */
  selected: string | undefined;
  onSelect: (id: string) => void;
  cursorM: number | undefined;
  onCursor: (metres: number | undefined) => void;
}

/** The run to scale on its ruler, with each joint pulled out of its true place into a station large enough to see. */
export function LineDrawing({
  sheet,
  scale,
  width,
  selected,
  onSelect,
  cursorM,
  onCursor,
}: Props): ReactNode {
  const [scrolled, setScrolled] = useState(0);
  const { joints, pieces } = sheet;
  const inner = width - 2 * RULER_PAD;
  const stationWidth = Math.max(
    STATION_LEAST,
    Math.min(STATION_MOST, (inner - STATION_GAP * (joints.length - 1)) / joints.length),
  );
  const rowWidth = joints.length * stationWidth + (joints.length - 1) * STATION_GAP;
  const spread = joints.length > 1 && rowWidth < inner ? (inner - rowWidth) / (joints.length - 1) : 0;
  const centre = (k: number): number =>
    RULER_PAD + k * (stationWidth + STATION_GAP + spread) + stationWidth / 2 - scrolled;
  const targets = pieceTargets(pieces, scale);
  return (
    <div>
      <div className="relative" style={{ height: LEADERS_Y }}>
        <svg
          width={width}
          height={LEADERS_Y}
          className="absolute inset-0"
          aria-hidden="true"
          onPointerMove={({ nativeEvent }) => onCursor(scale.invert(nativeEvent.offsetX))}
          onPointerLeave={() => onCursor(undefined)}
        >
          <Axis scale={scale} totalM={sheet.totalM} width={width} />
          <Zones sheet={sheet} scale={scale} />
          {pieces.map((piece) => (
            <PieceBar key={piece.id} piece={piece} scale={scale} selected={piece.id === selected} />
          ))}
          {joints.map((joint, k) => (
            <Leader
              key={joint.id}
              joint={joint}
              fromX={scale(joint.atM)}
              toX={centre(k)}
              selected={joint.id === selected}
            />
          ))}
          {cursorM !== undefined && (
            <path d={`M${scale(cursorM)} 22V${LEADERS_Y}`} stroke="var(--copper)" strokeDasharray="2 3" />
          )}
        </svg>
        {targets.map((target, k) => (
          <PieceButton
            key={pieces[k].id}
            piece={pieces[k]}
            target={target}
            pressed={pieces[k].id === selected}
            onSelect={onSelect}
          />
        ))}
      </div>
      <div
        className="overflow-x-auto"
        style={{ paddingInline: RULER_PAD }}
        onScroll={({ currentTarget }) => setScrolled(currentTarget.scrollLeft)}
      >
        <ol
          aria-label="Joints, from the radio to the antenna"
          className="flex justify-between"
          style={{ gap: STATION_GAP, minWidth: rowWidth }}
        >
          {joints.map((joint) => (
            <li key={joint.id} style={{ width: stationWidth }} className="shrink-0">
              <Station
                joint={joint}
                width={stationWidth}
                selected={joint.id === selected}
                onSelect={onSelect}
              />
            </li>
          ))}
        </ol>
      </div>
    </div>
  );
}

function Zones({ sheet, scale }: { sheet: Sheet; scale: RulerScale }): ReactNode {
  const spans =
    sheet.route.spans.length > 0
      ? sheet.route.spans
      : [{ fromM: 0, toM: sheet.totalM, zone: 'dry' as const, leg: 0 }];
  return spans.map(({ fromM, toM, zone }, k) => {
    const end = k === spans.length - 1 ? sheet.totalM : Math.min(toM, sheet.totalM);
    if (end <= fromM) return null;
    const [x, width] = [scale(fromM), scale(end) - scale(fromM)];
    return (
      <g key={k}>
        <rect x={x} y={30} width={width} height={18} fill={`var(--zone-${zone})`} stroke="var(--rule)" />
        {width > zone.length * 7 + 8 && (
          <text x={x + width / 2} y={43.5} fontSize={13} textAnchor="middle" className="text-muted">
            {zone}
          </text>
        )}
      </g>
    );
  });
}

/** Cables are drawn with a thickness which follows their diameter; rigid pieces as boxes. */
function PieceBar({
  piece,
  scale,
  selected,
}: {
  piece: PieceSheet;
  scale: RulerScale;
  selected: boolean;
}): ReactNode {
  const [x, end] = [scale(piece.fromM), scale(piece.toM)];
  const height = piece.kind === 'assembly' ? 3 + piece.diameterMm * 0.45 : 12;
  return (
    <rect
      x={x}
      y={CABLE_Y - height / 2}
      width={Math.max(end - x, 3)}
      height={height}
      fill={selected ? 'var(--copper)' : piece.kind === 'assembly' ? 'var(--ink)' : 'var(--edge)'}
    />
  );
}

const leaderColour = { stop: 'var(--stop)', caution: 'var(--caution)', note: 'var(--edge)' };

function Leader({
  joint,
  fromX,
  toX,
  selected,
}: {
  joint: JointSheet;
  fromX: number;
  toX: number;
  selected: boolean;
}): ReactNode {
  const colour = joint.snag ? leaderColour[joint.snag] : 'var(--edge)';
  const bold = selected || joint.snag === 'stop';
  return (
    <g stroke={selected ? 'var(--copper)' : colour} strokeWidth={bold ? 2 : 1.2} fill="none">
      <path d={`M${fromX} ${CABLE_Y - 9}V${CABLE_Y + 12}L${toX} ${LEADERS_Y - 10}V${LEADERS_Y}`} />
      <circle cx={fromX} cy={CABLE_Y} r={2.5} fill="var(--sheet)" />
    </g>
  );
}

function PieceButton({
  piece,
  target,
  pressed,
  onSelect,
}: {
  piece: PieceSheet;
  target: { left: number; width: number };
  pressed: boolean;
  onSelect: (id: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  return (
    <button
      className="absolute rounded hover:bg-copper/10"
      style={{ ...target, top: CABLE_Y - 13, height: 26 }}
      aria-pressed={pressed}
      aria-label={`${piece.name}, ${piece.what}, ${formatLength(piece.toM - piece.fromM, { system: units })}`}
      title={`${piece.name}, ${piece.what}`}
      onClick={() => onSelect(piece.id)}
    />
  );
}

function Station({
  joint,
  width,
  selected,
  onSelect,
}: {
  joint: JointSheet;
  width: number;
  selected: boolean;
  onSelect: (id: string) => void;
}): ReactNode {
  const { units } = usePreferences();
  const level =
    joint.mating.verdict === 'mates' ? (joint.snag === 'note' ? undefined : joint.snag) : joint.snag;
  return (
    <button
      className={`relative block w-full rounded border-2 bg-paper text-left hover:border-copper ${selected ? 'border-copper' : level === 'stop' ? 'border-stop' : 'border-rule'}`}
      aria-pressed={selected}
      data-joint={joint.id}
      onClick={() => onSelect(joint.id)}
    >
      <span className="flex justify-between gap-1 px-2 pt-1 text-sm">
        <span className="font-bold">J{joint.number}</span>
        <span className="figures truncate text-muted">
          {formatLength(joint.atM, { system: units, digits: 2 })}
        </span>
      </span>
      <span className="sr-only">
        {joint.between[0]} to {joint.between[1]}: {faceInFull(joint.left)} into {faceInFull(joint.right)},{' '}
        {joint.zone}.
      </span>
      <JointDrawing left={joint.left} right={joint.right} width={width - 4} height={62} />
      <span
        className={`flex items-center gap-1 px-2 pb-1 text-sm leading-tight ${level ? `font-semibold ${snagColour[level]}` : 'text-muted'}`}
      >
        {level && <SnagMark level={level} size={13} />}
        <span className="truncate">
          {joint.mating.verdict === 'mates' && level ? `mates, ${level}` : joint.mating.verdict}
        </span>
      </span>
    </button>
  );
}
