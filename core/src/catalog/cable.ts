/** A coaxial cable type. Diameters in mm; attenuation `k1·√f + k2·f` dB per 100 m with f in MHz. */
export interface Cable {
  id: string;
  name: string;
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
  capacitancePfPerM: number;
  maxVoltageRms: number;
  bendOnceMm: number;
  bendRepeatedMm: number;
  massKgPerKm: number;
  directBurial: 'yes' | 'no' | 'flooded type only';
  uvResistant: boolean;
  maxJacketC: number;
  innerOhmPerKm: number;
  outerOhmPerKm: number;
  source: string;
}

/** Outer diameter over the braid, mm: the braid adds about 0.7 mm (one braid) or 1.2 mm (two). Common practice. */
export const braidMm = (cable: Cable): number =>
  cable.dielectricMm + (cable.shieldKind === 'two braids' ? 1.2 : 0.7);
