import {
  DndContext,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragMoveEvent,
} from '@dnd-kit/core';
import {
  dropIndex,
  formatLength,
  type JointSheet,
  type PieceSheet,
  type Sheet,
  type UnitSystem,
} from '@kobran/core';
import { useState, type ReactNode, type RefObject } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { Axis } from './Axis.js';
import { PieceButton } from './PieceButton.js';
import { pieceTargets } from './pieceTargets.js';
import { inView, pxPerMm, RULER_PAD, TRUE_SIZE_PX_PER_MM, type RulerScale } from './scale.js';
import { Station } from './Station.js';
import { TruePieces } from './TruePieces.js';

const STATION_GAP = 8;
const STATION_MOST = 212;
const STATION_LEAST = 108;

/** Heights of the drawing, px: with true faces the line needs room for their diameters. */
const heights = (isTrue: boolean): { cableY: number; leadersY: number } =>
  isTrue ? { cableY: 116, leadersY: 206 } : { cableY: 62, leadersY: 104 };

interface Props {
  sheet: Sheet;
  scale: RulerScale;
  /** Takes wheel, pinch and drag of the background. */
  surface: RefObject<HTMLDivElement | null>;
  width: number;
  /** Id of the selected joint or piece. */
  selected: string | undefined;
  onSelect: (id: string) => void;
  /** A piece was dragged to another place among the others. */
  onMove: (id: string, toIndex: number) => void;
  cursorM: number | undefined;
  onCursor: (metres: number | undefined) => void;
}

/** Where a dragged piece would go: its place on the ruler, m. */
interface Drag {
  id: string;
  index: number;
}

/** The run to scale on its ruler, with each joint pulled out of its true place into a station large enough to see. */
export function LineDrawing({
  sheet,
  scale,
  surface,
  width,
  selected,
  onSelect,
  onMove,
  cursorM,
  onCursor,
}: Props): ReactNode {
  const { units } = usePreferences();
  const [scrolled, setScrolled] = useState(0);
  const [drag, setDrag] = useState<Drag>();
  const { joints, pieces } = sheet;
  const isTrue = pxPerMm(scale) >= TRUE_SIZE_PX_PER_MM;
  const { cableY, leadersY } = heights(isTrue);
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
  // A press shorter than this selects; a longer way drags.
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const dropped = ({ active, delta }: DragMoveEvent | DragEndEvent): Drag | undefined => {
    const id = String(active.id);
    const piece = pieces.find((one) => one.id === id);
    if (!piece) return undefined;
    const middleM = (piece.fromM + piece.toM) / 2;
    return { id, index: dropIndex(pieces, id, scale.invert(scale(middleM) + delta.x)) };
  };
  const markerM = drag && markerAt(pieces, drag);
  return (
    <div>
      <DndContext
        sensors={sensors}
        onDragMove={(event) => {
          const now = dropped(event);
          setDrag((before) => (before?.index === now?.index && before?.id === now?.id ? before : now));
        }}
        onDragCancel={() => setDrag(undefined)}
        onDragEnd={(event) => {
          const to = dropped(event);
          setDrag(undefined);
          if (to) onMove(to.id, to.index);
        }}
      >
        <div ref={surface} className="relative touch-pan-y overflow-hidden" style={{ height: leadersY }}>
          <svg
            width={width}
            height={leadersY}
            className="absolute inset-0"
            role="img"
            aria-label={described(sheet, units)}
            onPointerMove={({ nativeEvent }) => onCursor(scale.invert(nativeEvent.offsetX))}
            onPointerLeave={() => onCursor(undefined)}
          >
            <Axis scale={scale} totalM={sheet.totalM} width={width} />
            <Zones sheet={sheet} scale={scale} />
            {isTrue ? (
              <TruePieces sheet={sheet} scale={scale} width={width} y={cableY} selected={selected} />
            ) : (
              pieces.map((piece) => (
                <PieceBar
                  key={piece.id}
                  piece={piece}
                  scale={scale}
                  y={cableY}
                  selected={piece.id === selected}
                />
              ))
            )}
            {joints.map(
              (joint, k) =>
                inView(scale, joint.atM) && (
                  <Leader
                    key={joint.id}
                    joint={joint}
                    fromX={scale(joint.atM)}
                    toX={centre(k)}
                    y={isTrue ? leadersY - 40 : cableY}
                    leadersY={leadersY}
                    dot={!isTrue}
                    selected={joint.id === selected}
                  />
                ),
            )}
            {markerM !== undefined && (
              <path
                d={`M${scale(markerM)} ${cableY - 24}v48m-6 -48h12m-12 48h12`}
                stroke="var(--copper)"
                strokeWidth={3}
                fill="none"
              />
            )}
            {cursorM !== undefined && (
              <path d={`M${scale(cursorM)} 22V${leadersY}`} stroke="var(--copper)" strokeDasharray="2 3" />
            )}
          </svg>
          {targets.map((target, k) => (
            <PieceButton
              key={pieces[k].id}
              piece={pieces[k]}
              target={target}
              y={cableY}
              pressed={pieces[k].id === selected}
              onSelect={onSelect}
            />
          ))}
        </div>
      </DndContext>
      <div
        className="relative overflow-x-auto"
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

/** The place on the ruler before which a dragged piece would come to lie. */
function markerAt(pieces: readonly PieceSheet[], { id, index }: Drag): number {
  const others = pieces.filter((piece) => piece.id !== id);
  return others.at(index)?.fromM ?? others.at(-1)?.toM ?? 0;
}

/** What a sighted person learns from the drawing, in a sentence for each piece and joint. */
function described({ pieces, joints, totalM, headline }: Sheet, system: UnitSystem): string {
  const metres = (m: number): string => formatLength(m, { system });
  const parts = joints.flatMap((joint, k) => [
    `joint ${joint.number} at ${metres(joint.atM)}, ${joint.zone}: ${joint.mating.verdict}${joint.snag ? `, ${joint.snag}` : ''}`,
    ...(pieces.at(k) && k < pieces.length
      ? [`${pieces[k].name}, ${pieces[k].what}, ${metres(pieces[k].toM - pieces[k].fromM)}`]
      : []),
  ]);
  return `The run on its ruler, ${metres(totalM)} from the radio to the antenna. ${headline}. In order: ${parts.join('; ')}.`;
}

function Zones({ sheet, scale }: { sheet: Sheet; scale: RulerScale }): ReactNode {
  const spans =
    sheet.route.spans.length > 0
      ? sheet.route.spans
      : [{ fromM: 0, toM: sheet.totalM, zone: 'dry' as const, leg: 0 }];
  const [first, last] = scale.range();
  return spans.map(({ fromM, toM, zone }, k) => {
    const end = k === spans.length - 1 ? sheet.totalM : Math.min(toM, sheet.totalM);
    const [x, right] = [Math.max(scale(fromM), first), Math.min(scale(end), last)];
    const width = right - x;
    if (width <= 0) return null;
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
  y,
  selected,
}: {
  piece: PieceSheet;
  scale: RulerScale;
  y: number;
  selected: boolean;
}): ReactNode {
  const [x, end] = [scale(piece.fromM), scale(piece.toM)];
  const height = piece.kind === 'assembly' ? 3 + piece.diameterMm * 0.45 : 12;
  return (
    <rect
      x={x}
      y={y - height / 2}
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
  y,
  leadersY,
  dot,
  selected,
}: {
  joint: JointSheet;
  fromX: number;
  toX: number;
  y: number;
  leadersY: number;
  dot: boolean;
  selected: boolean;
}): ReactNode {
  const colour = joint.snag ? leaderColour[joint.snag] : 'var(--edge)';
  const bold = selected || joint.snag === 'stop';
  return (
    <g stroke={selected ? 'var(--copper)' : colour} strokeWidth={bold ? 2 : 1.2} fill="none">
      <path d={`M${fromX} ${y - (dot ? 9 : 0)}V${y + 12}L${toX} ${leadersY - 10}V${leadersY}`} />
      {dot && <circle cx={fromX} cy={y} r={2.5} fill="var(--sheet)" />}
    </g>
  );
}
