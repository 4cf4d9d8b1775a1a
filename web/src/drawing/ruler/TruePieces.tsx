import type { JointSheet, PieceSheet, Sheet } from '@kobran/core';
import { useId, type ReactNode } from 'react';
import { Hatches, SectionShapes } from '../faces/FaceDrawing.js';
import { faceSize } from '../faces/section.js';
import { pxPerMm, type RulerScale } from './scale.js';

interface Props {
  sheet: Sheet;
  scale: RulerScale;
  width: number;
  /** Height of the axis of the run, px. */
  y: number;
  selected: string | undefined;
}

/** The run as a draughtsman would cut it open, everything at its true place and size: cables by their diameter, faces in section. */
export function TruePieces({ sheet, scale, width, y, selected }: Props): ReactNode {
  const hatch = useId();
  const px = pxPerMm(scale);
  const seen = (fromM: number, toM: number): boolean => scale(toM) > -200 && scale(fromM) < width + 200;
  return (
    <g>
      <Hatches id={hatch} scale={px} />
      {sheet.pieces
        .filter(({ fromM, toM }) => seen(fromM, toM))
        .map((piece) => (
          <Body key={piece.id} piece={piece} scale={scale} px={px} y={y} selected={piece.id === selected} />
        ))}
      {sheet.joints
        .filter(({ atM }) => seen(atM, atM))
        .map((joint) => (
          <TrueJoint key={joint.id} joint={joint} sheet={sheet} scale={scale} px={px} y={y} hatch={hatch} />
        ))}
    </g>
  );
}

/** What lies between the faces of a piece: the cable’s jacket, or a rigid body. */
function Body({
  piece,
  scale,
  px,
  y,
  selected,
}: {
  piece: PieceSheet;
  scale: RulerScale;
  px: number;
  y: number;
  selected: boolean;
}): ReactNode {
  const height = piece.diameterMm * px;
  return (
    <rect
      x={scale(piece.fromM)}
      y={y - height / 2}
      width={Math.max(scale(piece.toM) - scale(piece.fromM), 1)}
      height={height}
      rx={piece.kind === 'assembly' ? 0 : 2}
      fill={piece.kind === 'assembly' ? 'var(--ink)' : 'var(--panel)'}
      stroke={selected ? 'var(--copper)' : 'var(--ink)'}
      strokeWidth={selected ? 3 : 1}
    />
  );
}

/** Both faces of a joint at their place, each no longer than half its piece. */
function TrueJoint({
  joint,
  sheet,
  scale,
  px,
  y,
  hatch,
}: {
  joint: JointSheet;
  sheet: Sheet;
  scale: RulerScale;
  px: number;
  y: number;
  hatch: string;
}): ReactNode {
  const clip = useId();
  const x = scale(joint.atM);
  const left = sheet.pieces[joint.number - 2] as PieceSheet | undefined;
  const right = sheet.pieces[joint.number - 1] as PieceSheet | undefined;
  const reach = (piece: PieceSheet | undefined, faceMm: number): number =>
    Math.min(faceMm * px, piece ? (scale(piece.toM) - scale(piece.fromM)) / 2 : Infinity);
  const [a, b] = [faceSize(joint.left), faceSize(joint.right)];
  const tall = Math.max(a.diameterMm, b.diameterMm) * px;
  const sides = [
    { face: joint.left, turned: false, reachPx: reach(left, a.lengthMm), x: x - reach(left, a.lengthMm) },
    { face: joint.right, turned: true, reachPx: reach(right, b.lengthMm), x },
  ];
  return (
    <>
      {sides.map(({ face, turned, reachPx, x: fromX }) => (
        <g key={String(turned)}>
          <clipPath id={`${clip}${turned}`}>
            <rect x={fromX} y={y - tall} width={reachPx} height={tall * 2} />
          </clipPath>
          <g clipPath={`url(#${clip}${turned})`}>
            <rect x={fromX} y={y - tall / 2} width={reachPx} height={tall} fill="var(--sheet)" />
            <g transform={`translate(${x} ${y})`}>
              <SectionShapes face={face} turned={turned} scale={px} hatch={hatch} />
            </g>
          </g>
        </g>
      ))}
      <path
        d={`M${x} ${y - tall / 2 - 6}V${y + tall / 2 + 6}`}
        stroke={joint.mating.passes ? 'var(--edge)' : 'var(--stop)'}
        strokeDasharray="3 3"
      />
    </>
  );
}
