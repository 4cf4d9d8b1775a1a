import type { Cable, Catalog } from '../catalog/index.js';

/** Exact by definition of the metre (SI). */
export const SPEED_OF_LIGHT = 299_792_458;

const DB_PER_NEPER = 20 / Math.LN10;

/** The loss of a line: its law, and where that begins to hold. */
type Law = Pick<Cable, 'k1' | 'k2' | 'lawFromMhz'> &
  Partial<Pick<Cable, 'innerOhmPerKm' | 'outerOhmPerKm' | 'impedanceOhm'>> & { floorDbPer100M?: number };

/** The law holds for copper from here on, MHz. */
const COPPER_FROM_MHZ = 1;
/**
 * Below the law of a copper-clad steel centre the loss falls only so: its current reaches the steel. It puts RG-174 at 10.8 dB at 10 MHz and
 * 6.2 dB at 1 MHz, RG-6 at 2.5 dB at 10 MHz, per 100 m and within 8 % (tables of handbooks, from memory).
 */
const STEEL_EXPONENT = 0.27;

/** Copper resists more when it is warm: its loss rises by this share per kelvin (half of 0.39 %, since the skin effect takes the root). */
const LOSS_PER_K = 0.002;
const SHEETS_C = 20;

/**
 * No line loses less than its copper for direct current, dB per 100 m: R/(2·Z0) in neper. At low frequencies the skin is thicker than the wire.
 * Source: standard texts (Pozar).
 */
export function lossFloor({
  floorDbPer100M,
  innerOhmPerKm = 0,
  outerOhmPerKm = 0,
  impedanceOhm = 50,
}: Law): number {
  return floorDbPer100M ?? ((innerOhmPerKm + outerOhmPerKm) / 10 / (2 * impedanceOhm)) * DB_PER_NEPER;
}

/** The law of a line at another temperature than that of the sheets, 20 °C. */
export function atCelsius<T extends Law>(law: T, celsius: number): T {
  const warmer = 1 + LOSS_PER_K * (celsius - SHEETS_C);
  return { ...law, k1: law.k1 * warmer, k2: law.k2 * warmer };
}

const warmed = new WeakMap<Catalog, Map<number, Catalog>>();

/** A catalogue whose cables are as warm as that; asked for twice it is the same one. */
export function catalogAt(catalog: Catalog, celsius: number): Catalog {
  const known = warmed.get(catalog) ?? new Map<number, Catalog>();
  warmed.set(catalog, known);
  const warm = known.get(celsius) ?? {
    ...catalog,
    cables: new Map([...catalog.cables].map(([id, cable]) => [id, atCelsius(cable, celsius)])),
  };
  known.set(celsius, warm);
  return warm;
}

/**
 * Matched attenuation of a cable in dB per 100 m: `k1 √f + k2 f`, f in MHz; flatter below the law of a copper-clad steel centre.
 * Source: attenuation law of MIL-DTL-17 sheets and handbook tables.
 */
export function attenuationDbPer100M(law: Law, frequencyHz: number): number {
  const { k1, k2, lawFromMhz = COPPER_FROM_MHZ } = law;
  const mhz = frequencyHz / 1e6;
  const byLaw =
    mhz >= lawFromMhz || lawFromMhz <= COPPER_FROM_MHZ
      ? k1 * Math.sqrt(mhz) + k2 * mhz
      : (k1 * Math.sqrt(lawFromMhz) + k2 * lawFromMhz) * (mhz / lawFromMhz) ** STEEL_EXPONENT;
  return Math.max(byLaw, lossFloor(law));
}

/** From where on the loss follows its law, Hz; 0 where it does everywhere. */
export const lawHoldsFrom = ({ lawFromMhz = COPPER_FROM_MHZ }: Pick<Law, 'lawFromMhz'>): number =>
  lawFromMhz <= COPPER_FROM_MHZ ? 0 : lawFromMhz * 1e6;

/** Matched loss of a length of cable, dB. */
export const matchedLossDb = (law: Law, frequencyHz: number, lengthM: number): number =>
  (attenuationDbPer100M(law, frequencyHz) * lengthM) / 100;

/** Attenuation constant, neper per metre. */
export const attenuationNeper = (law: Law, frequencyHz: number): number =>
  attenuationDbPer100M(law, frequencyHz) / 100 / DB_PER_NEPER;

/** Phase constant β = 2πf / (VF c), rad/m. */
export const phaseConstant = (velocityFactor: number, frequencyHz: number): number =>
  (2 * Math.PI * frequencyHz) / (velocityFactor * SPEED_OF_LIGHT);
