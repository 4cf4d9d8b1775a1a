import {
  entry,
  faceOf,
  seriesOf,
  stopToPlaneMm,
  type Catalog,
  type Face,
  type Part,
} from '../../catalog/index.js';
import { mate, type Mating } from '../../fit/mate.js';
import {
  bodyLine,
  cableLine,
  catalogAt,
  adapterElements,
  arresterElements,
  jointElements,
  turnedRound,
  type Element,
  type PlacedElement,
} from '../../line/index.js';
import { entryM, zoneAt, type Zone, type ZoneSpan } from '../../route/index.js';
import type { AnyPiece, Assembly, Design } from '../design/design.js';
import { jointId } from '../design/ids.js';
import { withFaults } from './faults.js';

/** A piece with its place on the ruler. */
export interface PlacedPiece {
  piece: AnyPiece;
  index: number;
  name: string;
  faces: [Face, Face];
  fromM: number;
  toM: number;
}

/** Two faces meeting at a distance, in a zone. */
export interface PlacedJoint {
  /** `radio>main`: the two neighbours, stable while they are. */
  id: string;
  /** From 1, as it is called on the drawing. */
  number: number;
  atM: number;
  left: Face;
  right: Face;
  /** The pieces on both sides; nothing where a port is. */
  leftPiece: PlacedPiece | undefined;
  rightPiece: PlacedPiece | undefined;
  zone: Zone;
  mating: Mating;
}

export interface Layout {
  pieces: PlacedPiece[];
  joints: PlacedJoint[];
  totalM: number;
  /** Everything the wave passes, radio first. */
  elements: PlacedElement[];
}

/** The two faces of a piece, radio side first. */
export function facesOf(piece: AnyPiece, catalog: Catalog): [Face, Face] {
  if (piece.kind === 'assembly')
    return [faceOf(entry(catalog.parts, piece.a.part).face), faceOf(entry(catalog.parts, piece.b.part).face)];
  const { faces } =
    piece.kind === 'adapter'
      ? entry(catalog.adapters, piece.adapter)
      : entry(catalog.arresters, piece.arrester);
  const [a, b] = faces.map(faceOf);
  return piece.reversed ? [b, a] : [a, b];
}

/** What a piece is called on the drawing. */
export function pieceName(piece: AnyPiece, catalog: Catalog): string {
  switch (piece.kind) {
    case 'assembly':
      return piece.label;
    case 'adapter':
      return entry(catalog.adapters, piece.adapter).name;
    case 'arrester':
      return entry(catalog.arresters, piece.arrester).name;
  }
}

const lengthOf = (piece: AnyPiece, catalog: Catalog): number => {
  switch (piece.kind) {
    case 'assembly':
      return piece.lengthM;
    case 'adapter':
      return entry(catalog.adapters, piece.adapter).lengthMm / 1000;
    case 'arrester':
      return entry(catalog.arresters, piece.arrester).lengthMm / 1000;
  }
};

/** Puts the run on the ruler: pieces, joints and the elements a wave passes. */
export function layOut(design: Design, catalog: Catalog, zoneSpans: readonly ZoneSpan[]): Layout {
  let at = 0;
  const pieces = design.pieces.map((piece, index): PlacedPiece => {
    const fromM = at;
    at += lengthOf(piece, catalog);
    return { piece, index, name: pieceName(piece, catalog), faces: facesOf(piece, catalog), fromM, toM: at };
  });
  const joints: PlacedJoint[] = [];
  for (let k = 0; k <= pieces.length; k++) {
    const leftPiece = pieces[k - 1] as PlacedPiece | undefined;
    const rightPiece = pieces[k] as PlacedPiece | undefined;
    const left = leftPiece ? leftPiece.faces[1] : faceOf(design.radio.face);
    const right = rightPiece ? rightPiece.faces[0] : faceOf(design.antenna.face);
    const atM = rightPiece?.fromM ?? at;
    joints.push({
      id: jointId(leftPiece?.piece.id, rightPiece?.piece.id),
      number: k + 1,
      atM,
      left,
      right,
      leftPiece,
      rightPiece,
      zone: zoneOfJoint(zoneSpans, atM, leftPiece, rightPiece),
      mating: mate(left, right),
    });
  }
  const warm = catalogAt(catalog, design.service.ambientC);
  const elements: PlacedElement[] = [];
  for (const [k, joint] of joints.entries()) {
    const { left, right, atM } = joint;
    elements.push(...jointElements(left, right).map((element) => ({ element, fromM: atM, toM: atM })));
    if (pieces[k]) elements.push(...pieceElements(pieces[k], warm));
  }
  return { pieces, joints, totalM: at, elements };
}

/** A rigid piece so near to where the run comes in is in the wall or on the plate, m. */
const AT_ENTRY_M = 0.5;

/** The zone a joint is in: a plate or arrester at the entry is dry on its inner side, and in the weather on its outer one. */
function zoneOfJoint(
  spans: readonly ZoneSpan[],
  atM: number,
  leftPiece: PlacedPiece | undefined,
  rightPiece: PlacedPiece | undefined,
): Zone {
  const outM = entryM(spans);
  if (outM === undefined) return zoneAt(spans, atM);
  const isPlate = (placed: PlacedPiece | undefined): boolean =>
    placed !== undefined &&
    placed.piece.kind !== 'assembly' &&
    placed.fromM <= outM + AT_ENTRY_M &&
    placed.toM >= outM - AT_ENTRY_M;
  if (isPlate(rightPiece) && !isPlate(leftPiece)) return zoneAt(spans, Math.min(atM, outM - 1e-6));
  // From a dry room the plate’s outer side is in the open; in an entry box it stays where it is drawn, as it does before a duct.
  const [inner, outer] = [zoneAt(spans, outM - 1e-6), zoneAt(spans, outM)];
  if (isPlate(leftPiece) && !isPlate(rightPiece) && inner === 'dry' && outer !== 'buried')
    return zoneAt(spans, Math.max(atM, outM));
  return zoneAt(spans, atM);
}

/** What stands between a piece's two faces. */
function pieceElements({ piece, fromM, toM }: PlacedPiece, catalog: Catalog): PlacedElement[] {
  switch (piece.kind) {
    case 'assembly':
      return cableElements(piece, catalog, fromM, toM);
    case 'adapter': {
      const own = adapterElements(entry(catalog.adapters, piece.adapter));
      return spread(piece.reversed ? turnedRound(own) : own, fromM, toM);
    }
    case 'arrester': {
      const own = arresterElements(entry(catalog.arresters, piece.arrester));
      return spread(piece.reversed ? turnedRound(own) : own, fromM, toM);
    }
  }
}

/** Between two ends there is always some cable, m. */
const SHORTEST_M = 0.001;

/** What a connector’s own line is longer than its half of the pair, which the joint counts. */
function inBody({ face: code, electricalMm }: Part): Element[] {
  const face = faceOf(code);
  const moreMm = electricalMm - seriesOf(face).electricalMm[face.body];
  return moreMm > 0 ? [bodyLine(face, moreMm / 1000)] : [];
}

/** The cable of an assembly between two places of the ruler, with its known spots. */
export function cableElements(
  { cable, lengthM, a, b, spots = [] }: Assembly,
  catalog: Catalog,
  fromM: number,
  toM: number,
): PlacedElement[] {
  // The cable ends where its dielectric stops; what is left to the planes is the connectors’ own line, which the joints count.
  const parts = [a, b].map(({ part }) => entry(catalog.parts, part));
  const inEndsMm = parts.reduce((sum, part) => sum + stopToPlaneMm(part), 0);
  const betweenStopsM = Math.max(SHORTEST_M, lengthM - inEndsMm / 1000);
  const [near, far] = parts.map(inBody);
  return withFaults(
    [
      ...near.map((element) => ({ element, fromM, toM: fromM })),
      { element: cableLine(entry(catalog.cables, cable), betweenStopsM), fromM, toM },
      ...far.map((element) => ({ element, fromM: toM, toM })),
    ],
    spots.map((spot) => ({ ...spot, kind: 'crush', atM: fromM + spot.atM })),
  );
}

/** Elements over the length of a rigid piece: its lines share it, what is lumped stands between them. */
function spread(elements: readonly Element[], fromM: number, toM: number): PlacedElement[] {
  const lines = elements.filter(({ kind }) => kind === 'line').length;
  let at = fromM;
  return elements.map((element) => {
    const start = at;
    if (element.kind === 'line') at += (toM - fromM) / lines;
    return { element, fromM: start, toM: at };
  });
}
