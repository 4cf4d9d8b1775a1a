import type { Cable } from '../cable.js';
import { cables } from '../cables.js';
import type { PinBore } from '../part.js';

/** Sizes of cable a part is made for, each with the cable whose diameters its bores follow. */
const model = {
  '2.5 mm': 'rg316',
  '2.5 mm 75 ohm': 'rg179',
  '5 mm': 'rg58',
  '5 mm double-braid': 'rg223',
  '6 mm': 'rg8x',
  '10 mm': 'rg213',
  '10 mm double-braid': 'rg214',
  '15 mm': 'c600',
  '7 mm': 'f7',
  '13 mm': 'f13',
  '1/2 in corrugated': 'h12',
  '1/2 in very flexible corrugated': 'sf12',
  '7/8 in corrugated': 'h78',
  '6 mm 75 ohm': 'rg59',
  '7 mm 75 ohm': 'rg6',
  '10 mm 75 ohm': 'rg11',
} as const;

export type CableGroup = keyof typeof model;

/** In ids: `5mm`, `6mm75`, `10mm2b`. */
export const groupSlug: Record<CableGroup, string> = {
  '2.5 mm': '25mm',
  '2.5 mm 75 ohm': '25mm75',
  '5 mm': '5mm',
  '5 mm double-braid': '5mm2b',
  '6 mm': '6mm',
  '10 mm': '10mm',
  '10 mm double-braid': '10mm2b',
  '15 mm': '15mm',
  '7 mm': '7mm',
  '13 mm': '13mm',
  '1/2 in corrugated': 'half-inch',
  '1/2 in very flexible corrugated': 'half-inch-flex',
  '7/8 in corrugated': 'seven-eighths',
  '6 mm 75 ohm': '6mm75',
  '7 mm 75 ohm': '7mm75',
  '10 mm 75 ohm': '10mm75',
};

/** Working clearances in mm; nominal parts, a shop overwrites them from its own parts' sheets. */
export const clearance = {
  pin: 0.12,
  dielectric: 0.15,
  neckUnderBraid: 0.1,
  ferruleOverBraid: 0.25,
  jacket: 0.25,
};

export const nominalSource =
  'nominal, derived from the cable’s diameters with working clearances; the part’s own sheet wins';

/** Hex dies in common use, mm across flats. Common practice, no source. */
export const hexDiesMm = [1.7, 2.5, 3.25, 5.4, 6.5, 8.1, 10.9];

export const roundMm = (mm: number): number => Math.round(mm * 100) / 100;

export function modelCable(group: CableGroup): Cable {
  const cable = cables.find(({ id }) => id === model[group]);
  if (!cable) throw new Error(`no model cable for ${group}`);
  return cable;
}

/** Pins in the bag: one for the group's own centre, and where the size is sold with both kinds one for the other. */
export function pinsFor(group: CableGroup, depthMm: number): [PinBore, ...PinBore[]] {
  const own = modelCable(group);
  const pin = (centreMm: number, made: PinBore['made']): PinBore => ({
    boreMm: roundMm(centreMm + clearance.pin),
    depthMm,
    made,
  });
  if (group === '10 mm') return [pin(own.centreMm, 'stranded'), pin(2.74, 'solid')];
  if (group === '15 mm' || group === '13 mm') return [pin(own.centreMm, own.centreKind)];
  return [pin(own.centreMm, 'either')];
}
