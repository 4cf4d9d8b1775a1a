import type { Cable } from '../../catalog/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import { METRES_PER_INCH } from '../../quantity/index.js';
import { bandBelow } from './device.js';

/** A coil of coax: current on the outside of the shield meets it, what is inside does not. */
export interface Choke {
  turns: number;
  /** Mean diameter of the turns, m. */
  diameterM: number;
  /** Length of the coil, turn against turn, m. */
  coilM: number;
  /** Cable in the turns, m; the run is longer by it. */
  cableM: number;
  henry: number;
  /** Capacitance from end to end, and where the coil resonates with it. */
  farad: number;
  resonanceHz: number;
  /** May the cable be bent so tight? Its radius once fixed, mm. */
  leastRadiusMm: number;
  tooTight: boolean;
}

/** Quality of a coil of coax: jacket and braid lose more than a wire. Common practice, no source. */
const QUALITY = 60;
/** What real coils reach at their resonance at most, ohm: what lies near them takes the rest. Handbook of the trade, 11. */
const MAX_OHM = 20e3;

/**
 * A single-layer choke of so many turns.
 *
 * Inductance: Wheeler’s formula L = r² N² / (9 r + 10 l) µH with inches (H. A. Wheeler, 1928; within 1 % where l > 0.8 r). End to end
 * capacitance: Medhurst, C = D (0.1126 l/D + 0.08 + 0.27/√(l/D)) pF with cm (R. G. Medhurst, 1947). Both are of the shield as a wire.
 */
export function choke(cable: Cable, turns: number, diameterM: number): Choke {
  const coilM = (turns * cable.jacketMm) / 1000;
  const [r, l] = [diameterM / 2 / METRES_PER_INCH, coilM / METRES_PER_INCH];
  const henry = ((r * r * turns * turns) / (9 * r + 10 * l)) * 1e-6;
  const ratio = coilM / diameterM;
  const farad = diameterM * 100 * (0.1126 * ratio + 0.08 + 0.27 / Math.sqrt(ratio)) * 1e-12;
  return {
    turns,
    diameterM,
    coilM,
    cableM: turns * Math.hypot(Math.PI * diameterM, cable.jacketMm / 1000),
    henry,
    farad,
    resonanceHz: 1 / (2 * Math.PI * Math.sqrt(henry * farad)),
    leastRadiusMm: cable.bendOnceMm,
    tooTight: (diameterM * 1000) / 2 < cable.bendOnceMm,
  };
}

/** Impedance against current on the shield, ohm, magnitude: the coil and its capacitance side by side, with the coil’s losses. */
export function chokingOhm({ henry, farad }: Choke, frequencyHz: number): number {
  const omega = 2 * Math.PI * frequencyHz;
  const conductance = 1 / (QUALITY * omega * henry) + 1 / MAX_OHM;
  return 1 / Math.hypot(conductance, omega * farad - 1 / (omega * henry));
}

/** Shorter coils are beyond Wheeler’s formula: length over radius. */
const LEAST_SLENDER = 0.8;
/** Most turns anyone winds. */
const MAX_TURNS = 24;

/**
 * The choke with the fewest turns that reaches an impedance over a band; the diameter is the tightest the cable bears, or wider.
 *
 * @param diametersM mean diameters that can be wound, m
 * @returns nothing when no coil of them does
 */
export function chooseChoke(
  cable: Cable,
  lowHz: number,
  highHz: number,
  targetOhm: number,
  diametersM: readonly number[],
): Choke | undefined {
  const able = diametersM
    .flatMap((diameterM) => Array.from({ length: MAX_TURNS }, (_, k) => choke(cable, k + 1, diameterM)))
    .filter((one) => !one.tooTight && one.coilM >= LEAST_SLENDER * (one.diameterM / 2))
    .filter((one) =>
      [lowHz, Math.sqrt(lowHz * highHz), highHz].every((hz) => chokingOhm(one, hz) >= targetOhm),
    );
  return able.sort((x, y) => x.cableM - y.cableM).at(0);
}

/** The band in which a choke reaches an impedance, Hz. */
export function chokingBand(one: Choke, targetOhm: number): { lowHz: number; highHz: number } | undefined {
  const steps = 600;
  const f = Float64Array.from(
    { length: steps },
    (_, k) => one.resonanceHz * 10 ** (2 * (k / (steps - 1)) - 1),
  );
  return bandBelow(
    f.map((hz) => targetOhm / chokingOhm(one, hz)),
    f,
    one.resonanceHz,
    1,
  );
}

/** A shield longer than this share of a wave is an antenna of its own: the choke belongs at the feed point. */
export const isLongOnTheWave = ({ cableM }: Choke, frequencyHz: number): boolean =>
  cableM > (0.25 * SPEED_OF_LIGHT) / frequencyHz;
