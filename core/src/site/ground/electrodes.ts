import type { ElectrodeKind, ElectrodeSize } from '../document/ground.js';

/** Soils by resistivity, ohm metres. Handbook of the trade, from memory. */
export const soils: readonly { name: string; ohmM: number }[] = [
  { name: 'marsh', ohmM: 30 },
  { name: 'clay', ohmM: 60 },
  { name: 'loam', ohmM: 100 },
  { name: 'damp sand', ohmM: 300 },
  { name: 'gravel', ohmM: 1000 },
  { name: 'rock', ohmM: 3000 },
];

/**
 * Resistance to earth of a driven rod, ohm: ρ/(2πL)·(ln(8L/d) − 1). IEEE Std 142.
 *
 * @param soilOhmM resistivity, ohm metres
 * @param lengthM in the soil
 * @param diameterM of the rod
 * @example rodOhm(100, 3.05, 0.0159).toFixed(0) // '33'
 */
export const rodOhm = (soilOhmM: number, lengthM: number, diameterM: number): number =>
  (soilOhmM / (2 * Math.PI * lengthM)) * (Math.log((8 * lengthM) / diameterM) - 1);

/**
 * Resistance to earth of a ring of buried wire, ohm: ρ/(4π²r)·ln(64r²/(d·h)). BS 7430; Dwight.
 *
 * @param radiusM of the ring
 * @param diameterM of the wire
 * @param depthM under the surface
 */
export const ringOhm = (soilOhmM: number, radiusM: number, diameterM: number, depthM: number): number =>
  (soilOhmM / (4 * Math.PI ** 2 * radiusM)) * Math.log((64 * radiusM ** 2) / (diameterM * depthM));

/** Resistance to earth of a straight buried wire, ohm: ρ/(2πL)·ln(L²/(1.85·h·d)). BS 7430, from memory. */
export const buriedWireOhm = (soilOhmM: number, lengthM: number, diameterM: number, depthM: number): number =>
  (soilOhmM / (2 * Math.PI * lengthM)) *
  Math.log(Math.max(Math.E, lengthM ** 2 / (1.85 * depthM * diameterM)));

/** Resistance to earth of a buried plate, ohm: ρ/4·√(π/A). BS 7430, from memory. */
export const plateOhm = (soilOhmM: number, areaM2: number): number =>
  (soilOhmM / 4) * Math.sqrt(Math.PI / areaM2);

/** Rods in a line, one length apart, share the soil: what n of them have, times this over n, of one. IEEE Std 142. */
const factors: readonly (readonly [rods: number, factor: number])[] = [
  [1, 1],
  [2, 1.16],
  [3, 1.29],
  [4, 1.36],
  [8, 1.68],
  [12, 1.8],
  [16, 1.92],
  [20, 2],
  [24, 2.16],
];

/** The factor of so many rods; between the rows of the table in a straight line, beyond it the last. */
export function rodsFactor(rods: number): number {
  const at = factors.findIndex(([n]) => n >= rods);
  if (at < 0) return factors[factors.length - 1][1];
  const [n, factor] = factors[at];
  if (n === rods || at === 0) return factor;
  const [fewer, less] = factors[at - 1];
  return less + ((factor - less) * (rods - fewer)) / (n - fewer);
}

/** What one electrode alone has to earth, ohm; a building’s is not computed but measured. */
export function electrodeOhm(
  kind: ElectrodeKind,
  { lengthM, diameterMm, depthM }: ElectrodeSize,
  soilOhmM: number,
): number | undefined {
  const diameterM = diameterMm / 1000;
  const depth = Math.max(0.05, depthM);
  switch (kind) {
    case 'rod':
      return rodOhm(soilOhmM, lengthM, diameterM);
    case 'ring':
      return ringOhm(soilOhmM, lengthM / 2, diameterM, depth);
    case 'buried wire':
      return buriedWireOhm(soilOhmM, lengthM, diameterM, depth);
    case 'plate':
      return plateOhm(soilOhmM, lengthM ** 2);
    case 'building electrode':
      return undefined;
  }
}
