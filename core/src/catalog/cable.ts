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
  /** Price per metre in the shop’s own money, where it is known. */
  costPerM?: number;
  source: string;
}

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
