import { isReverse, seriesById, variantOf, type Face } from '@kobran/core';

export type Material = 'metal' | 'dielectric' | 'copper' | 'hole' | 'thread';

/** A rectangle of a section drawing in mm: the mating plane is x = 0, the body lies at negative x, the axis is y = 0. */
export interface SectionShape {
  material: Material;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** How far a face reaches back from its mating plane, and its largest diameter; mm. */
export function faceSize({ series, body }: Face): { lengthMm: number; diameterMm: number } {
  const s = seriesById[series];
  return body === 'plug'
    ? { lengthMm: s.plugLengthMm, diameterMm: s.plugNutMm }
    : { lengthMm: s.jackLengthMm, diameterMm: s.jackBodyMm * 1.25 };
}

/** A face in section as a draughtsman would draw it, from the series’ dimensions. Looks to the right. */
export function faceSection(face: Face): SectionShape[] {
  if (seriesById[face.series].coupling === 'soldered') return wires(face);
  return face.body === 'plug' ? plug(face) : jack(face);
}

/** Two tails, or the two terminals they go to. */
function wires(face: Face): SectionShape[] {
  const s = seriesById[face.series];
  const lengthMm = face.body === 'plug' ? s.plugLengthMm : s.jackLengthMm;
  const apart = s.outerConductorIdMm / 2;
  const thick = face.body === 'plug' ? 1.4 : 4;
  return [-apart, apart].map((y) => ({
    material: face.body === 'plug' ? 'copper' : 'metal',
    x: -lengthMm,
    y: y - thick / 2,
    width: lengthMm,
    height: thick,
  }));
}

/** Upper and lower wall of a tube. */
function walls(
  material: Material,
  fromX: number,
  toX: number,
  outerMm: number,
  innerMm: number,
): SectionShape[] {
  const height = (outerMm - innerMm) / 2;
  const width = toX - fromX;
  return [
    { material, x: fromX, y: -outerMm / 2, width, height },
    { material, x: fromX, y: innerMm / 2, width, height },
  ];
}

const round = (material: Material, fromX: number, toX: number, diameterMm: number): SectionShape => ({
  material,
  x: fromX,
  y: -diameterMm / 2,
  width: toX - fromX,
  height: diameterMm,
});

/** The centre contact: a pin stands out to `tipX`, a socket is a tube open at `faceX`. */
function contact(face: Face, backX: number, faceX: number, tipX: number): SectionShape[] {
  const { pinMm, airAround } = variantOf(face);
  const air: SectionShape[] = airAround
    ? [round('hole', faceX - (faceX - backX) * 0.4, faceX, pinMm * 3)]
    : [];
  if (face.contact === 'pin') return [...air, round('copper', backX, tipX, pinMm)];
  return [
    ...air,
    round('copper', backX, faceX, pinMm * 1.8),
    round('hole', faceX - (faceX - backX) * 0.45, faceX, pinMm),
  ];
}

function plug(face: Face): SectionShape[] {
  const s = seriesById[face.series];
  const back = -s.plugLengthMm;
  const nutBack = -s.plugLengthMm * 0.52;
  const insulator = -s.plugLengthMm * (isReverse(face) ? 0.12 : 0.34);
  return [
    ...walls('metal', back, nutBack, s.plugNutMm * 0.8, s.outerConductorIdMm),
    ...walls('metal', nutBack, nutBack + s.plugLengthMm * 0.1, s.plugNutMm, s.outerConductorIdMm),
    ...walls('metal', nutBack + s.plugLengthMm * 0.1, 0, s.plugNutMm, s.threadMm),
    round('dielectric', back, insulator, s.outerConductorIdMm),
    ...contact(face, back, insulator, -s.plugLengthMm * 0.06),
  ];
}

function jack(face: Face): SectionShape[] {
  const s = seriesById[face.series];
  const back = -s.jackLengthMm;
  const insulator = -s.jackLengthMm * 0.14;
  const coupling: SectionShape[] =
    s.coupling === 'thread'
      ? walls(
          'thread',
          -s.jackLengthMm * 0.62,
          -s.jackLengthMm * 0.04,
          s.threadMm,
          s.threadMm - (s.threadMm - s.outerConductorIdMm) * 0.3,
        )
      : s.coupling === 'bayonet'
        ? walls('metal', -s.jackLengthMm * 0.4, -s.jackLengthMm * 0.28, s.threadMm, s.jackBodyMm)
        : [];
  return [
    ...walls('metal', back, 0, s.jackBodyMm, s.outerConductorIdMm),
    ...walls('metal', back, back + s.jackLengthMm * 0.14, s.jackBodyMm * 1.25, s.jackBodyMm),
    round('dielectric', back, insulator, s.outerConductorIdMm),
    ...contact(face, back, insulator, -s.jackLengthMm * 0.04),
    ...coupling,
  ];
}
