export type SeriesId = 'uhf' | 'n' | 'bnc' | 'sma' | 'f';

/** One impedance of a series, with what differs between impedances. */
export interface SeriesVariant {
  impedanceOhm: 50 | 75 | null;
  /** Diameter of the mating pin, mm. */
  pinMm: number;
  maxFrequencyHz: number;
}

/** A connector series: interface dimensions from which faces are drawn, and limits. Lengths in mm. */
export interface Series {
  id: SeriesId;
  name: string;
  coupling: 'thread' | 'bayonet';
  thread: string;
  /** Major diameter of the coupling thread, or over the lugs. */
  threadMm: number;
  /** The first variant is the usual one. */
  variants: [SeriesVariant, ...SeriesVariant[]];
  reverseExists: boolean;
  /** Impedance of the interface as a line: about 35 ohm for UHF, else the variant's own. */
  lineImpedanceOhm: number | null;
  outerConductorIdMm: number;
  jackBodyMm: number;
  plugNutMm: number;
  plugLengthMm: number;
  jackLengthMm: number;
  /** Electrical length which each half of a mated pair adds, mm of its own line. */
  electricalMm: { plug: number; jack: number };
  /** Loss of a good mated pair, dB per √GHz; published limits are three to five times as large. */
  contactDbPerSqrtGhz: number;
  peakVoltage: number;
  torqueNm: [number, number] | null;
  torqueSaid: string;
  matings: number;
  weather: 'none' | 'splash' | 'gasket';
  standard: string;
  confidence: 'low' | 'medium' | 'high';
  source: string;
}
