import type { Cable } from '../catalog/index.js';
import { SPEED_OF_LIGHT } from './attenuation.js';

/** A coaxial line by its dimensions. Diameters in mm; permittivity relative to vacuum. */
export interface CoaxDimensions {
  centreMm: number;
  /** Inside of the outer conductor. */
  outerMm: number;
  permittivity: number;
}

/** Half of the impedance of free space over 2π: μ0·c/2π, ohm. */
const ETA_OHM = 59.9585;
/** Vacuum permeability, H/m (CODATA 2018), and conductivity of annealed copper at 20 °C, S/m (IEC 60028). */
const MU_0 = 1.25663706212e-6;
export const COPPER_SIEMENS_PER_M = 58e6;
const DB_PER_NEPER = 20 / Math.LN10;

/** Impedance, velocity factor, capacitance and inductance of a line. Source: Pozar, Microwave Engineering. */
export function coaxLine({ centreMm, outerMm, permittivity }: CoaxDimensions): {
  impedanceOhm: number;
  velocityFactor: number;
  faradPerM: number;
  henryPerM: number;
} {
  const velocityFactor = 1 / Math.sqrt(permittivity);
  const impedanceOhm = ETA_OHM * velocityFactor * Math.log(outerMm / centreMm);
  const speed = velocityFactor * SPEED_OF_LIGHT;
  return {
    impedanceOhm,
    velocityFactor,
    faradPerM: 1 / (impedanceOhm * speed),
    henryPerM: impedanceOhm / speed,
  };
}

/** Outer diameter which gives an impedance over a centre conductor, mm. */
export const outerForImpedance = (impedanceOhm: number, centreMm: number, permittivity: number): number =>
  centreMm * Math.exp((impedanceOhm * Math.sqrt(permittivity)) / ETA_OHM);

/** Permittivity of a dielectric by the velocity factor it gives. */
export const permittivityOf = (velocityFactor: number): number => 1 / velocityFactor ** 2;

/**
 * Frequency from which a coaxial line carries TE11 too and is one line no more, Hz: 2c / (π(D + d)√εr), within 8 % of the exact solution.
 * Source: Pozar, Microwave Engineering.
 */
export const te11CutoffHz = ({ centreMm, outerMm, permittivity }: CoaxDimensions): number =>
  (2 * SPEED_OF_LIGHT) / (Math.PI * ((centreMm + outerMm) / 1000) * Math.sqrt(permittivity));

/** Frequency from which a cable carries a second mode, Hz; its figures hold below it only. */
export const cableCutoffHz = ({
  centreMm,
  dielectricMm,
  velocityFactor,
}: Pick<Cable, 'centreMm' | 'dielectricMm' | 'velocityFactor'>): number =>
  te11CutoffHz({ centreMm, outerMm: dielectricMm, permittivity: permittivityOf(velocityFactor) });

/** Depth at which a current has fallen to 1/e, m: √(1/(π f μ σ)). */
export const skinDepthM = (frequencyHz: number, siemensPerM = COPPER_SIEMENS_PER_M): number =>
  Math.sqrt(1 / (Math.PI * frequencyHz * MU_0 * siemensPerM));

/**
 * Loss of smooth copper conductors and of a dielectric, dB per 100 m: R/(2Z0) with R = Rs/π·(1/d + 1/D), and π f tanδ/v.
 * Braid, strands and roughness lose more. Source: Pozar, Microwave Engineering.
 */
export function lossFromDimensions(dimensions: CoaxDimensions, frequencyHz: number, lossTangent = 0): number {
  const { centreMm, outerMm } = dimensions;
  const { impedanceOhm, velocityFactor } = coaxLine(dimensions);
  const surfaceOhm = 1 / (COPPER_SIEMENS_PER_M * skinDepthM(frequencyHz));
  const ohmPerM = (surfaceOhm / Math.PI) * (1000 / centreMm + 1000 / outerMm);
  const conductor = ohmPerM / (2 * impedanceOhm);
  const dielectric = (Math.PI * frequencyHz * lossTangent) / (velocityFactor * SPEED_OF_LIGHT);
  return 100 * DB_PER_NEPER * (conductor + dielectric);
}
