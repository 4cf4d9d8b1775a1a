import { faceOf, seriesOf, type FaceCode } from '../../face.js';
import type { PartDimensions, PinBore, Style, TrainItem } from '../../part.js';
import { pinsFor, type CableGroup } from '../groups.js';

/** What a family of parts shares along its axis, mm. */
export interface Axial {
  neckMm: number;
  seatMm: number;
  /** From the dielectric's stop to the reference plane. */
  frontMm: number;
  /** Depth in which the conductor sits; for a UHF tip the way through it. */
  pinDepthMm: number;
  proudMm?: number;
  minutes: number;
}

/** The radial dimensions a style takes from its group's cable. */
export type Radial = Pick<
  PartDimensions,
  'bodyBoreMm' | 'neckOuterMm' | 'gripBoreMm' | 'gripMm' | 'foldBackMm' | 'hexMm'
> & { pins?: [PinBore, ...PinBore[]] };

/** One way of joining a connector to a cable: data plus two small functions. */
export interface StyleKind {
  id: Style;
  /** In the name of a part: `UHF plug, screw-on, for 10 mm cable`. */
  name: string;
  /** What lies over the jacket, as one says it; null when nothing does. */
  grip: string | null;
  /** The bores of a nominal part, from the diameters of its group’s cable. */
  radial: (group: CableGroup, axial: Axial, face: FaceCode) => Radial;
  /** The loose pieces in sliding order. */
  train: (part: PartDimensions) => TrainItem[];
}

/** The pins a style uses unless it says otherwise. */
export const usualPins = (group: CableGroup, axial: Axial): [PinBore, ...PinBore[]] =>
  pinsFor(group, axial.pinDepthMm);

/** Diameter of the plug’s nut or the jack’s body. */
export const bodyOuterMm = ({ face }: PartDimensions): number => {
  const series = seriesOf(faceOf(face));
  return faceOf(face).body === 'plug' ? series.plugNutMm : series.jackBodyMm;
};

export const isUhf = ({ face }: PartDimensions): boolean => faceOf(face).series === 'uhf';

export const couplingNut = (part: PartDimensions): TrainItem => ({
  id: 'nut',
  name: 'coupling nut',
  lengthMm: 17,
  outerMm: bodyOuterMm(part),
  direction: 'threads towards the cable’s end',
});

export const centrePin = (part: PartDimensions, extraMm: number, outerMm: number): TrainItem => ({
  id: 'pin',
  name: 'centre pin',
  lengthMm: part.pins[0].depthMm + extraMm,
  outerMm,
  direction: 'open end on to the conductor',
});

export const body = (part: PartDimensions, name: string, direction?: string): TrainItem => ({
  id: 'body',
  name,
  lengthMm: part.jacketToPlaneMm,
  outerMm: bodyOuterMm(part),
  ...(direction ? { direction } : {}),
});
