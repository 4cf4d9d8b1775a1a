import type { FaceCode } from './face.js';

/** How a connector takes hold of the cable. */
export const styleIds = [
  'crimp',
  'solder',
  'screw-on',
  'reducer',
  'washers',
  'gland',
  'corrugated',
  'compression',
  'piercing',
  'side-entry',
  'right angle',
  'bulkhead',
  'pigtail',
] as const;
export type Style = (typeof styleIds)[number];

/** A centre pin or tip bore: which conductor it was made for, and how deep it takes it. Lengths in mm. */
export interface PinBore {
  boreMm: number;
  depthMm: number;
  made: 'solid' | 'stranded' | 'either';
}

/**
 * A cable connector by the inner dimensions from which fit and strip lengths follow. All in mm; null where the style has none.
 * Along the axis, from the cable: jacket edge | neck | seat | centre | reference plane.
 */
export interface PartDimensions {
  id: string;
  name: string;
  face: FaceCode;
  style: Style;
  /** Bores of the pins in the bag; the first is the usual one. */
  pins: PinBore[];
  /** Bore that takes the dielectric (of a part soldered through its holes: the braid). */
  bodyBoreMm: number | null;
  /** From the neck's mouth (or the hat's face) to where the dielectric stops. */
  seatMm: number;
  /** Thickness of a rear insulator between the hat’s rim, where the dielectric ends, and the pin’s shoulder: bare conductor passes it. */
  rearMm?: number;
  /** The braid this end leaves bare: length of the stem under it; of a gland part, the top-hat. */
  neckMm: number;
  /** Outer diameter of what goes under the braid. */
  neckOuterMm: number | null;
  /** What goes over the jacket (ferrule, gland, reducer, thread): its bore and length. */
  gripBoreMm: number | null;
  gripMm: number;
  /** Braid turned back over the jacket or the reducer’s nose. */
  foldBackMm: number;
  /** Across flats of the crimp die for the ferrule; none for other styles. */
  hexMm: number | null;
  /** From the jacket's edge to the reference plane (shell front; the tip of a UHF plug). */
  jacketToPlaneMm: number;
  /** Left proud of the plane and trimmed flush afterwards (UHF tip). */
  proudMm: number;
  /** Electrical length from where the dielectric stops to the reference plane, mm of free space. */
  electricalMm: number;
  minutes: number;
  /** Its coupling nut cannot come off: nothing to slide on first, nothing to screw down last. */
  captiveNut?: boolean;
  source: string;
}

/** From where the dielectric stops to the reference plane, mm: the connector’s own line; the cable ends at its beginning. */
export const stopToPlaneMm = ({ jacketToPlaneMm, neckMm, seatMm }: PartDimensions): number =>
  jacketToPlaneMm - neckMm - seatMm;

/**
 * A connector’s own line is part air, part PTFE: its electrical length is 1.0 to 1.43 (√2.05) times the way from stop to plane, here the
 * middle. Relative permittivity of PTFE: tables of material.
 */
const SLOWED = 1.2;

/** Electrical length of a nominal part, mm of free space: of its own way from stop to plane, and not less than its half of a mated pair. */
export const nominalElectricalMm = (stopToPlane: number, halfOfPairMm: number): number =>
  Math.max(halfOfPairMm, Math.round(SLOWED * stopToPlane * 10) / 10);

/** A part with what follows from its dimensions. */
export interface Part extends PartDimensions {
  pins: [PinBore, ...PinBore[]];
  referencePlane: string;
  /** Slides on to the cable first to last. */
  train: TrainItem[];
}

/** One loose piece of a connector, in the order in which it slides on to the cable. */
export interface TrainItem {
  id: string;
  name: string;
  lengthMm: number;
  outerMm: number;
  /** Which way round, when it matters. */
  direction?: string;
}
