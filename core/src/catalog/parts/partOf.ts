import { faceName, faceOf, seriesOf, type FaceCode } from '../face.js';
import { seriesById } from '../series/index.js';
import { nominalElectricalMm, type Part, type PartDimensions, type Style } from '../part.js';
import { groupSlug, nominalSource, pinsFor, type CableGroup } from './groups.js';
import { styleById } from './styles/index.js';
import type { Axial } from './styles/style.js';

/** Adds to a part's dimensions what follows from them: its train and its reference plane. */
export function partOf(dimensions: PartDimensions): Part {
  const [first, ...rest] = dimensions.pins;
  return {
    ...dimensions,
    pins: [first, ...rest],
    referencePlane:
      seriesOf(faceOf(dimensions.face)).id === 'uhf' && faceOf(dimensions.face).body === 'plug'
        ? 'tip of the pin'
        : 'front of the shell',
    train: styleById[dimensions.style]
      .train(dimensions)
      .filter(({ id }) => !(dimensions.captiveNut && id === 'nut')),
  };
}

/** A nominal part: the family's axial dimensions, and bores which follow the diameters of the group's cable. */
export function nominalPart(style: Style, axial: Axial, face: FaceCode, group: CableGroup): Part {
  const { name, radial } = styleById[style];
  const { pins, ...bores } = radial(group, axial, face);
  const { series, body } = faceOf(face);
  return partOf({
    id: `${face}-${style.replace(' ', '-')}-${groupSlug[group]}`,
    name: `${faceName(faceOf(face))}, ${name}, for ${group} cable`,
    face,
    style,
    pins: pins ?? pinsFor(group, axial.pinDepthMm),
    ...bores,
    seatMm: axial.seatMm,
    ...(axial.rearMm === undefined ? {} : { rearMm: axial.rearMm }),
    neckMm: axial.neckMm,
    jacketToPlaneMm: axial.neckMm + axial.seatMm + axial.frontMm,
    proudMm: axial.proudMm ?? 0,
    electricalMm: nominalElectricalMm(axial.frontMm, seriesById[series].electricalMm[body]),
    minutes: axial.minutes,
    source: nominalSource,
  });
}
