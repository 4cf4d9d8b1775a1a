/** American Wire Gauge by its definition: 39 equal ratios from 0.005 in (36) to 0.46 in (0000). Source: ASTM B258. */
const GAUGE_36_MM = 0.127;
const RATIO = 92;
const STEPS = 39;

/**
 * Diameter of a solid wire of a gauge, mm; 00 is −1, 0000 is −3.
 *
 * @example wireMm(6).toFixed(3) // '4.115'
 */
export const wireMm = (awg: number): number => GAUGE_36_MM * RATIO ** ((36 - awg) / STEPS);

/** Gauge of a solid wire, not rounded. */
export const awgOf = (mm: number): number => 36 - (STEPS * Math.log(mm / GAUGE_36_MM)) / Math.log(RATIO);

/** Cross-section of a solid wire of a gauge, mm². */
export const wireMm2 = (awg: number): number => (Math.PI / 4) * wireMm(awg) ** 2;

/** Gauge with this cross-section, mm², not rounded. */
export const awgOfMm2 = (mm2: number): number => awgOf(Math.sqrt((4 * mm2) / Math.PI));
