import { faceOf, seriesOf, type FaceCode } from '../../face.js';
import type { PartDimensions, PinBore, Style, TrainItem } from '../../part.js';
import type { SeriesId } from '../../series/index.js';
import { pinsFor, type CableGroup } from '../groups.js';

/** What a family of parts shares along its axis, mm. */
export interface Axial {
  neckMm: number;
  seatMm: number;
  /** Of the rear insulator of a gland part; the conductor passes it. */
  rearMm?: number;
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

/** A bore wider than this does not fit into the contact’s own diameter: the pin is stepped behind its front. From memory, N and 7-16. */
const PLAIN_PIN_MM: Partial<Record<SeriesId, number>> = { n: 3, '7-16': 6.6, '43-10': 4 };

export const centrePin = (part: PartDimensions, extraMm: number, outerMm: number): TrainItem => ({
  id: 'pin',
  name:
    part.pins[0].boreMm > (PLAIN_PIN_MM[seriesOf(faceOf(part.face)).id] ?? Infinity)
      ? 'stepped centre pin'
      : 'centre pin',
  lengthMm: part.pins[0].depthMm + extraMm,
  outerMm: Math.max(outerMm, part.pins[0].boreMm + 0.6),
  direction: 'open end on to the conductor',
});

export const body = (part: PartDimensions, name: string, direction?: string): TrainItem => ({
  id: 'body',
  name,
  lengthMm: part.jacketToPlaneMm,
  outerMm: bodyOuterMm(part),
  ...(direction ? { direction } : {}),
});
