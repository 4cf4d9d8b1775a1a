import type { LossPoint } from './lossLaw.js';

/** A coaxial cable type. Diameters in mm; attenuation `k1·√f + k2·f` dB per 100 m with f in MHz. */
export interface Cable {
  id: string;
  /** What it is and its size. */
  name: string;
  /** Other names it is looked for by, never shown as its name. */
  aliases?: string;
  impedanceOhm: number;
  velocityFactor: number;
  centreMm: number;
  centre: string;
  centreKind: 'solid' | 'stranded';
  dielectricMm: number;
  dielectric: string;
  shield: string;
  shieldKind: 'braid' | 'two braids' | 'foil and braid' | 'tube';
  jacketMm: number;
  jacket: string;
  /** dB per 100 m per √MHz: conductor loss (skin effect). */
  k1: number;
  /** dB per 100 m per MHz: dielectric loss. */
  k2: number;
  /** The figures of its sheet the law was fitted to, where it was entered so. */
  lossPoints?: LossPoint[];
  /** The law holds from here, MHz: below it the current of a copper-clad steel centre reaches the steel. Default 1. */
  lawFromMhz?: number;
  /** Relative half-width of what makers print as velocity factor, and as loss. Defaults by the dielectric, and 0.1. */
  velocityTolerance?: number;
  lossTolerance?: number;
  capacitancePfPerM: number;
  /** As the military sheet of the type says it, where there is one. */
  maxVoltageRms?: number;
  /** Highest peak voltage at radio frequency, V: √(2·P·Z0) of the peak power rating, never a DC withstand figure. */
  peakRfV: number;
  bendOnceMm: number;
  bendRepeatedMm: number;
  massKgPerKm: number;
  /** Highest pull, N; not stated, 50 N per mm² of the copper centre. */
  pullN?: number;
  directBurial: 'yes' | 'no' | 'flooded type only';
  /** May its jacket lie in the water which every duct collects? Not stated: not known. */
  wetDuct?: 'yes' | 'with care' | 'no';
  /** Does its metal stand salt? Not stated: no. */
  salt?: 'tinned throughout' | 'shield only' | 'no';
  uvResistant: boolean;
  maxJacketC: number;
  innerOhmPerKm: number;
  outerOhmPerKm: number;
  /** Price per metre in the shop’s own money, where it is known. */
  costPerM?: number;
  source: string;
}

/** Velocity factors of makers differ by this share: solid polyethylene and PTFE little, foam more. Handbook of the trade, from memory. */
export const velocityToleranceOf = ({ velocityTolerance, dielectric }: Cable): number =>
  velocityTolerance ?? (/foam|air/i.test(dielectric) ? 0.04 : 0.015);

/** Loss figures of makers differ by this share. From memory. */
export const lossToleranceOf = ({ lossTolerance }: Cable): number => lossTolerance ?? 0.1;

/** What a shield adds to the diameter, mm. Common practice; a corrugated tube by its crests. */
const shieldAddsMm: Record<Cable['shieldKind'], number> = {
  braid: 0.7,
  'two braids': 1.2,
  'foil and braid': 0.7,
  tube: 1.6,
};

/** Outer diameter over the shield, mm. */
export const braidMm = (cable: Pick<Cable, 'dielectricMm' | 'shieldKind'>): number =>
  cable.dielectricMm + shieldAddsMm[cable.shieldKind];
