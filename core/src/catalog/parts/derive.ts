import { braidMm, type Cable } from '../cable.js';
import { cables } from '../cables.js';
import { faceName, faceOf, type FaceCode } from '../face.js';
import type { Part, PinBore, TrainItem } from '../part.js';
import { seriesById } from '../series/index.js';

/** Sizes of cable a part is made for, with the cable whose diameters its bores follow. */
export type CableGroup = '2.5 mm' | '5 mm' | '6 mm' | '10 mm' | '6 mm 75 ohm';

const model: Record<CableGroup, string> = {
  '2.5 mm': 'rg316',
  '5 mm': 'rg58',
  '6 mm': 'rg8x',
  '10 mm': 'rg213',
  '6 mm 75 ohm': 'rg59',
};

/** Working clearances in mm; nominal parts, a shop overwrites them from its own parts' sheets. */
const clearance = { pin: 0.12, dielectric: 0.15, neckUnderBraid: 0.1, ferruleOverBraid: 0.25, jacket: 0.25 };

const nominal =
  'nominal, derived from the cable’s diameters with working clearances; the part’s own sheet wins';

/** Hex dies in common use, mm across flats. Common practice, no source. */
export const hexDiesMm = [1.7, 2.5, 3.25, 5.4, 6.5, 8.1, 10.9];

const round = (mm: number): number => Math.round(mm * 100) / 100;

/** What a family of parts shares; the rest follows from face and cable group. */
export interface PartShape {
  face: FaceCode;
  group: CableGroup;
  neckMm: number;
  seatMm: number;
  /** From the dielectric's stop to the reference plane. */
  frontMm: number;
  /** Depth in which the conductor sits; for a UHF tip the way through it. */
  pinDepthMm: number;
  proudMm?: number;
  minutes: number;
}

const modelCable = (group: CableGroup): Cable => {
  const cable = cables.find(({ id }) => id === model[group]);
  if (!cable) throw new Error(`no model cable for ${group}`);
  return cable;
};

/** Pins in the bag: one for the group's own centre, and where the size has both kinds one for the other. */
function pinsFor(group: CableGroup, depthMm: number): [PinBore, ...PinBore[]] {
  const own = modelCable(group);
  const pin = (centreMm: number, made: PinBore['made']): PinBore => ({
    boreMm: round(centreMm + clearance.pin),
    depthMm,
    made,
  });
  if (group === '10 mm') return [pin(own.centreMm, 'stranded'), pin(2.74, 'solid')];
  return [pin(own.centreMm, 'either')];
}

function common(
  shape: PartShape,
): Omit<Part, 'id' | 'name' | 'style' | 'train' | 'hexMm' | 'ferruleMm' | 'neckOuterMm' | 'ferruleBoreMm'> {
  const cable = modelCable(shape.group);
  const face = faceOf(shape.face);
  return {
    face: shape.face,
    pins: pinsFor(shape.group, shape.pinDepthMm),
    bodyBoreMm: round(cable.dielectricMm + clearance.dielectric),
    seatMm: shape.seatMm,
    neckMm: shape.neckMm,
    jacketToPlaneMm: shape.neckMm + shape.seatMm + shape.frontMm,
    referencePlane: face.series === 'uhf' ? 'tip of the pin' : 'front of the shell',
    proudMm: shape.proudMm ?? 0,
    electricalMm: seriesById[face.series].electricalMm[face.body],
    minutes: shape.minutes,
    source: nominal,
  };
}

const slug = (text: string): string =>
  text.replace(/ ohm/, '').replace(/\.5/, '5').replace(/ mm ?/, 'mm').replace(/ /, '');

/** A crimp part: the neck goes under the braid, a hex-crimped ferrule over it. */
export function crimpPart(shape: PartShape): Part {
  const cable = modelCable(shape.group);
  const face = faceOf(shape.face);
  const { plugNutMm } = seriesById[face.series];
  const neckOuterMm = round(cable.dielectricMm + 0.15 + 2 * 0.3);
  const ferruleBoreMm = round(
    Math.max(cable.jacketMm + clearance.jacket, neckOuterMm + 0.7 + clearance.ferruleOverBraid),
  );
  const ferruleMm = shape.neckMm * 2 - 2;
  const hexMm = hexDiesMm.find((die) => die > ferruleBoreMm - 0.1) ?? hexDiesMm[hexDiesMm.length - 1];
  const ferruleOuter = round(ferruleBoreMm + 0.8);
  const train: TrainItem[] = [
    { id: 'shrink', name: 'shrink tube', lengthMm: ferruleMm + 14, outerMm: round(ferruleOuter + 1.2) },
    { id: 'ferrule', name: 'ferrule', lengthMm: ferruleMm, outerMm: ferruleOuter },
  ];
  if (face.series === 'uhf') {
    train.unshift({
      id: 'nut',
      name: 'coupling nut',
      lengthMm: 17,
      outerMm: plugNutMm,
      direction: 'threads towards the cable’s end',
    });
  } else {
    train.push({
      id: 'pin',
      name: 'centre pin',
      lengthMm: shape.pinDepthMm + 8,
      outerMm: 2.2,
      direction: 'open end on to the conductor',
    });
  }
  train.push({
    id: 'body',
    name: 'body',
    lengthMm: shape.neckMm + shape.seatMm + shape.frontMm,
    outerMm: plugNutMm,
    direction: 'neck towards the jacket',
  });
  return {
    ...common(shape),
    id: `${shape.face}-crimp-${slug(shape.group)}`,
    name: `${faceName(face)}, crimp, for ${shape.group} cable`,
    style: 'crimp',
    neckOuterMm,
    ferruleBoreMm,
    ferruleMm,
    hexMm,
    train,
  };
}

/** A gland part: washer and rubber gland squeezed by a back nut, the braid trapped by a top-hat. */
export function glandPart(shape: PartShape): Part {
  const cable = modelCable(shape.group);
  const face = faceOf(shape.face);
  const { plugNutMm } = seriesById[face.series];
  const glandBoreMm = round(cable.jacketMm + clearance.jacket);
  const outer = round(Math.min(plugNutMm - 2, cable.jacketMm + 6));
  const train: TrainItem[] = [
    {
      id: 'backnut',
      name: 'back nut',
      lengthMm: 12,
      outerMm: outer,
      direction: 'thread towards the cable’s end',
    },
    { id: 'washer', name: 'washer', lengthMm: 1, outerMm: round(outer - 1.5) },
    {
      id: 'gland',
      name: 'rubber gland',
      lengthMm: 6,
      outerMm: round(outer - 1.5),
      direction: 'groove towards the top-hat',
    },
    {
      id: 'hat',
      name: 'top-hat',
      lengthMm: shape.neckMm,
      outerMm: round(braidMm(cable) + 2),
      direction: 'rim towards the cable’s end',
    },
  ];
  if (face.series !== 'uhf') {
    train.push(
      { id: 'rear', name: 'rear insulator', lengthMm: 4, outerMm: 7, direction: 'recess towards the pin' },
      {
        id: 'pin',
        name: 'centre pin',
        lengthMm: shape.pinDepthMm + 10,
        outerMm: 3,
        direction: 'open end on to the conductor',
      },
      { id: 'front', name: 'front insulator', lengthMm: 4, outerMm: 7, direction: 'recess towards the pin' },
    );
  }
  train.push({
    id: 'body',
    name: face.series === 'uhf' ? 'body' : 'shell',
    lengthMm: shape.neckMm + shape.seatMm + shape.frontMm,
    outerMm: plugNutMm,
  });
  return {
    ...common(shape),
    id: `${shape.face}-gland-${slug(shape.group)}`,
    name: `${faceName(face)}, gland, for ${shape.group} cable`,
    style: 'gland',
    neckOuterMm: round(braidMm(cable) - 0.7 + 0.6),
    ferruleBoreMm: glandBoreMm,
    ferruleMm: 19,
    hexMm: null,
    train,
  };
}

/** An F plug which grips the folded-back braid by compression; the cable's own conductor is the pin. */
export function compressionPart(shape: PartShape): Part {
  const cable = modelCable(shape.group);
  const face = faceOf(shape.face);
  return {
    ...common(shape),
    id: `${shape.face}-compression-${slug(shape.group)}`,
    name: `${faceName(face)}, compression, for ${shape.group} cable`,
    style: 'compression',
    neckOuterMm: round(cable.dielectricMm + 1.1),
    ferruleBoreMm: 8.6,
    ferruleMm: 20,
    hexMm: null,
    train: [
      {
        id: 'body',
        name: 'connector',
        lengthMm: 22,
        outerMm: seriesById[face.series].plugNutMm,
        direction: 'nut towards the cable’s end',
      },
    ],
  };
}
