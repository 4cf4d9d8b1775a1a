import type { FaceCode } from './face.js';

export type Style = 'crimp' | 'gland' | 'compression';

/** A centre pin or tip bore: which conductor it was made for, and how deep it takes it. Lengths in mm. */
export interface PinBore {
  boreMm: number;
  depthMm: number;
  made: 'solid' | 'stranded' | 'either';
}

/**
 * A cable connector with the inner dimensions from which fit and strip lengths follow. All in mm.
 * Along the axis, from the cable: jacket edge | neck | seat | centre | reference plane.
 */
export interface Part {
  id: string;
  name: string;
  face: FaceCode;
  style: Style;
  /** Bores of the pins in the bag; the first is the usual one. */
  pins: [PinBore, ...PinBore[]];
  /** Bore that takes the dielectric. */
  bodyBoreMm: number;
  /** From the neck's mouth (or the hat's face) to where the dielectric stops. */
  seatMm: number;
  /** The stem which goes under the braid: length and outer diameter; a gland part's top-hat. */
  neckMm: number;
  neckOuterMm: number;
  /** Over the jacket: ferrule or gland bore, and its length. */
  ferruleBoreMm: number;
  ferruleMm: number;
  /** Across flats of the crimp die for the ferrule; none for clamped styles. */
  hexMm: number | null;
  /** From the jacket's edge to the reference plane (shell front; the tip of a UHF plug). */
  jacketToPlaneMm: number;
  referencePlane: string;
  /** Left proud of the plane and trimmed flush afterwards (UHF tip). */
  proudMm: number;
  /** Electrical length this end adds to the assembly, mm of its own line. */
  electricalMm: number;
  /** Slides on to the cable first to last. */
  train: TrainItem[];
  minutes: number;
  source: string;
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
