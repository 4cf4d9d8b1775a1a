import { areaMm2, type Bond, type Metal } from '../document/ground.js';

/** Resistivity at 20 °C, ohm metres; galvanised steel conducts as its steel. Tables of any handbook, from memory. */
const RESISTIVITY: Record<Metal, number> = {
  copper: 1.72e-8,
  'tinned copper': 1.72e-8,
  brass: 6.4e-8,
  zinc: 1.6e-7,
  aluminium: 2.82e-8,
  'stainless steel': 7.2e-7,
};

/**
 * Self-inductance of a straight round wire at high frequency, microhenry: 0.2·l·(ln(4l/d) − 1). Rosa, NBS Bulletin 4 (1908); Terman.
 *
 * @param lengthM along it
 * @param diameterM of the wire
 * @example roundWireUh(1, 0.00451).toFixed(2) // '1.16'
 */
export const roundWireUh = (lengthM: number, diameterM: number): number =>
  0.2 * lengthM * (Math.log((4 * Math.max(lengthM, diameterM)) / diameterM) - 1);

/** Self-inductance of a flat strap, microhenry: 0.2·l·(ln(2l/(w + t)) + 0.5). Terman, Radio Engineers’ Handbook. */
export const strapUh = (lengthM: number, widthM: number, thicknessM: number): number =>
  0.2 * lengthM * (Math.log((2 * Math.max(lengthM, widthM)) / (widthM + thicknessM)) + 0.5);

/** A bend tighter than 200 mm counts as so much more conductor, m. Common practice, no source. */
export const SHARP_BEND_M = 0.3;

/** Length which counts for a surge, m: its bends added. */
export const countedM = (lengthM: number, sharpBends: number): number =>
  lengthM === 0 ? 0 : lengthM + SHARP_BEND_M * sharpBends;

/** Inductance of a conductor of this length, microhenry; several side by side and well apart share it. */
export function bondUh({ section, sharpBends, parallel }: Bond, lengthM: number): number {
  const metres = countedM(lengthM, sharpBends);
  if (metres === 0) return 0;
  const one =
    'areaMm2' in section
      ? roundWireUh(metres, 2 * Math.sqrt(section.areaMm2 / Math.PI) * 1e-3)
      : strapUh(metres, section.widthMm * 1e-3, section.thicknessMm * 1e-3);
  return one / parallel;
}

/** Resistance of a conductor for direct current, ohm. */
export const bondOhm = ({ section, metal, parallel }: Bond, lengthM: number): number =>
  (RESISTIVITY[metal] * lengthM) / (areaMm2(section) * 1e-6) / parallel;
