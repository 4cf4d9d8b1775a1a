export type SeriesId =
  | 'uhf'
  | 'mini-uhf'
  | 'n'
  | 'bnc'
  | 'tnc'
  | 'sma'
  | '3-5mm'
  | '2-92mm'
  | '2-4mm'
  | 'smb'
  | 'smc'
  | 'mcx'
  | 'mmcx'
  | 'f'
  | 'tv'
  | '7-16'
  | '43-10'
  | 'fme'
  | 'rca'
  | 'pair';

/** One impedance of a series, with what differs between impedances. */
export interface SeriesVariant {
  impedanceOhm: 50 | 75 | null;
  /** Diameter of the mating pin, mm. */
  pinMm: number;
  maxFrequencyHz: number;
  /** An old make whose pin is thinner than the standard’s: a face of its own, since it looks the same and does not hold. */
  thinPin?: true;
  /** Air, not insulator, surrounds the contact up to its mouth: how true 75 ohm BNC and TNC, and 3.5 mm from SMA, are told by eye. */
  airAround?: true;
}

/** A connector series: interface dimensions from which faces are drawn, and limits. Lengths in mm. */
export interface Series {
  id: SeriesId;
  name: string;
  coupling: 'thread' | 'bayonet' | 'push-on' | 'snap-on' | 'soldered';
  thread: string;
  /** Major diameter of the coupling thread, or over the lugs. */
  threadMm: number;
  /** The first variant is the usual one. */
  variants: [SeriesVariant, ...SeriesVariant[]];
  /** What stands in the centre of its usual plug; of SMB and SMC the jack has the pin. Default a pin. */
  plugContact?: 'pin' | 'socket';
  /** Series of the same coupling and contact with which it couples, each only as good as the lesser. */
  intermates?: SeriesId[];
  reverseExists: boolean;
  /** Impedance of the interface as a line: about 35 ohm for UHF, else the variant's own. */
  lineImpedanceOhm: number | null;
  outerConductorIdMm: number;
  jackBodyMm: number;
  /** Largest diameter of the plug’s coupling nut, ring or sleeve. */
  plugNutMm: number;
  /** How the plug is gripped: seen and felt. */
  nut: 'knurled' | 'hex' | 'bayonet ring' | 'sleeve' | 'none';
  nutFlatsMm: number | null;
  /** What the bodies are called where `plug` and `jack` are not the trade’s words. */
  bodyNames?: { plug: string; jack: string };
  /** Spring fingers of the outer contact, seen inside the plug or on its skirt. */
  plugFingers: boolean;
  plugLengthMm: number;
  jackLengthMm: number;
  /** Electrical length which each half of a mated pair adds, mm of its own line. */
  electricalMm: { plug: number; jack: number };
  /** Loss of a good mated pair, dB per √GHz; published limits are three to five times as large. */
  contactDbPerSqrtGhz: number;
  peakVoltage: number;
  /** Average power of the interface at 100 MHz and 40 °C, W; it falls as 1/√f. Nominal, from memory. */
  averageAt100MhzW: number;
  torqueNm: [number, number] | null;
  torque: string;
  /** Rated coupling cycles of the interface. */
  matings: number;
  /** Receive and video only: no place for transmit power in a run. */
  receiveOnly: boolean;
  weather: 'none' | 'splash' | 'gasket';
  standard: string;
  confidence: 'low' | 'medium' | 'high';
  source: string;
}

/** Across the corners of a hex, of its width across flats: 2/√3. Geometry. */
const CORNERS = 2 / Math.sqrt(3);

/** The widest of a coupling nut, mm: its corners where it is a hex. What goes over it has to pass these. */
export const nutAcrossMm = ({ plugNutMm, nutFlatsMm }: Pick<Series, 'plugNutMm' | 'nutFlatsMm'>): number =>
  Math.max(plugNutMm, (nutFlatsMm ?? 0) * CORNERS);
