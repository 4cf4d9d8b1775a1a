import { seriesOf, variantOf, type Face } from '@kobran/core';

export type FrontMaterial = 'metal' | 'thread' | 'hollow' | 'dielectric' | 'copper' | 'hole';

/** A shape of a front view in mm about the axis, drawn in order from the outside in. */
export type FrontShape =
  | { kind: 'circle'; material: FrontMaterial; x: number; y: number; diameterMm: number }
  | { kind: 'hex'; material: FrontMaterial; flatsMm: number }
  | { kind: 'bar'; material: FrontMaterial; angleDeg: number; fromMm: number; toMm: number; widthMm: number };

const circle = (material: FrontMaterial, diameterMm: number, x = 0, y = 0): FrontShape => ({
  kind: 'circle',
  material,
  x,
  y,
  diameterMm,
});

/** Largest extent of the front view, mm. */
export function frontSizeMm(face: Face): number {
  const series = seriesOf(face);
  if (series.coupling === 'soldered') return series.outerConductorIdMm * 1.6;
  if (face.body === 'plug')
    return series.nutFlatsMm === null
      ? series.plugNutMm
      : Math.max(series.plugNutMm, series.nutFlatsMm * 1.16);
  return series.coupling === 'bayonet'
    ? Math.max(series.threadMm, series.jackBodyMm) * 1.25
    : series.jackBodyMm * 1.25;
}

/** A face as seen when it looks at you, from the series’ dimensions. */
export function faceFront(face: Face): FrontShape[] {
  const series = seriesOf(face);
  if (series.coupling === 'soldered')
    return pair(series.outerConductorIdMm, variantOf(face).pinMm, face.body === 'jack');
  return [...(face.body === 'plug' ? plug(face) : jack(face)), ...centre(face)];
}

function pair(apartMm: number, wireMm: number, terminals: boolean): FrontShape[] {
  const at = [-apartMm / 2, apartMm / 2];
  return at.flatMap((x) => [
    ...(terminals ? [circle('metal', 6, x)] : []),
    circle(terminals ? 'hole' : 'copper', terminals ? 2.4 : wireMm * 1.6, x),
  ]);
}

function plug(face: Face): FrontShape[] {
  const { nut, nutFlatsMm, plugNutMm, threadMm, outerConductorIdMm, coupling, plugFingers } = seriesOf(face);
  const outer: FrontShape =
    nut === 'hex' && nutFlatsMm !== null
      ? { kind: 'hex', material: 'metal', flatsMm: nutFlatsMm }
      : circle('metal', plugNutMm);
  const tubeMm = Math.min(outerConductorIdMm * 1.14, threadMm * 0.92);
  return [
    outer,
    circle(
      coupling === 'thread' ? 'thread' : 'hollow',
      coupling === 'push-on' || coupling === 'snap-on' ? plugNutMm * 0.9 : threadMm,
    ),
    ...(coupling === 'bayonet' ? bars('hollow', [0, 180], threadMm / 2, plugNutMm / 2 - 0.4, 2.4) : []),
    circle('metal', tubeMm),
    ...(plugFingers
      ? bars('hollow', [0, 60, 120, 180, 240, 300], outerConductorIdMm / 2, tubeMm / 2, 0.5)
      : []),
    circle('dielectric', outerConductorIdMm),
  ];
}

function jack(face: Face): FrontShape[] {
  const { jackBodyMm, threadMm, outerConductorIdMm, coupling } = seriesOf(face);
  return [
    circle('metal', jackBodyMm * 1.25),
    ...(coupling === 'bayonet' ? bars('metal', [0, 180], jackBodyMm / 2 - 0.4, threadMm / 2 + 0.3, 2) : []),
    circle(coupling === 'thread' ? 'thread' : 'metal', coupling === 'bayonet' ? jackBodyMm : threadMm),
    circle('metal', Math.min(threadMm, jackBodyMm) * 0.9),
    circle('dielectric', outerConductorIdMm),
  ];
}

/** Insulator and contact: a pin is copper, a socket a hole in copper; air round it where the standard leaves some. */
function centre(face: Face): FrontShape[] {
  const { pinMm, airAround } = variantOf(face);
  return [
    ...(airAround ? [circle('hollow', pinMm * 3)] : []),
    ...(face.contact === 'pin'
      ? [circle('copper', pinMm)]
      : [circle('copper', pinMm * 1.8), circle('hole', pinMm)]),
  ];
}

const bars = (
  material: FrontMaterial,
  angles: number[],
  fromMm: number,
  toMm: number,
  widthMm: number,
): FrontShape[] => angles.map((angleDeg) => ({ kind: 'bar', material, angleDeg, fromMm, toMm, widthMm }));
