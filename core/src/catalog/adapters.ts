import type { InlineDevice } from './device.js';
import { faceName, faceOf, seriesOf, variantOf, type Face, type FaceCode } from './face.js';

export const adapterForms = [
  'straight',
  'feed-through',
  'right angle',
  'saver',
  'matching pad',
  'device',
] as const;
export type AdapterForm = (typeof adapterForms)[number];

/** A rigid piece with two faces: an adapter, or a device. Lengths in mm. */
export interface Adapter {
  id: string;
  name: string;
  faces: [FaceCode, FaceCode];
  form: AdapterForm;
  lengthMm: number;
  massG: number;
  /** Electrical length between the two faces, mm of its own line in air. */
  electricalMm: number;
  maxFrequencyHz: number;
  /** Of its SMA plug, measured: from the front of the nut or shell down to the insulator, mm. */
  insulatorDepthMm?: number;
  /** Of a choke, filter, tee and the like: what it does besides carrying the wave on. */
  device?: InlineDevice;
  source: string;
}

/** A series, of one polarity and impedance, as adapters name it: `n`, `rp-sma`, `bnc75`. */
type Family = string;

/** Series which are joined to each other in all four pairs of bodies. */
const between: [Family, Family[]][] = [
  ['sma', ['n', 'bnc', 'tnc', 'uhf']],
  ['uhf', ['n', 'bnc', 'tnc']],
  ['n', ['tnc', 'bnc']],
  ['tnc', ['bnc']],
  ['7-16', ['n', '43-10']],
  ['43-10', ['n']],
  ['mini-uhf', ['uhf', 'n', 'bnc', 'tnc', 'sma']],
  ['rp-sma', ['sma', 'n', 'bnc', 'tnc']],
  ['rp-tnc', ['tnc', 'n', 'sma', 'rp-sma']],
  ['fme', ['uhf', 'n', 'bnc', 'tnc', 'sma', 'mini-uhf']],
  ['f', ['bnc75', 'bnc', 'n', 'sma', 'uhf', 'rca']],
  ['rca', ['bnc', 'uhf']],
  ['2-4mm', ['sma', '3-5mm', '2-92mm', 'n']],
  ['3-5mm', ['n']],
  ['smb', ['sma', 'bnc', 'n']],
  ['smc', ['sma', 'bnc']],
  ['mcx', ['sma', 'bnc', 'n', 'f']],
  ['mmcx', ['sma', 'bnc', 'mcx']],
  ['tv', ['f', 'bnc75', 'rca']],
];
const bodies = ['plug', 'jack'] as const;

/** Which families come as barrel (jack to jack) and plug to plug, as saver, and as right angle. */
const gendered: Family[] = [
  'uhf',
  'mini-uhf',
  'n',
  'n75',
  'bnc',
  'bnc75',
  'tnc',
  'sma',
  'rp-sma',
  'rp-tnc',
  '3-5mm',
  '2-92mm',
  '2-4mm',
  'smb',
  'smc',
  'mcx',
  'mmcx',
  'f',
  'tv',
  '7-16',
  '43-10',
  'fme',
  'rca',
];
const saved: Family[] = ['sma', 'rp-sma', '3-5mm', '2-92mm', '2-4mm', 'n', 'bnc', 'tnc', 'uhf', '7-16'];
const bent: Family[] = ['uhf', 'n', 'bnc', 'tnc', 'sma', 'rp-sma', 'f', 'tv', '7-16'];
/** Through a panel or an entry plate, jack to jack, with nut and seal. */
const through: Family[] = ['n', 'bnc', 'tnc', 'sma', 'rp-sma', 'uhf', 'f'];
const padded: Family[] = ['n', 'bnc'];

type Row = [a: FaceCode, b: FaceCode, form: AdapterForm];

const rows: Row[] = [
  ...gendered.flatMap((family) =>
    bodies.map((body): Row => [`${family}-${body}`, `${family}-${body}`, 'straight']),
  ),
  ...between.flatMap(([first, others]) =>
    others.flatMap((other) =>
      bodies.flatMap((a) => bodies.map((b): Row => [`${first}-${a}`, `${other}-${b}`, 'straight'])),
    ),
  ),
  ['pair-jack', 'bnc-plug', 'straight'],
  ['pair-jack', 'bnc-jack', 'straight'],
  ['pair-jack', 'uhf-plug', 'straight'],
  // An old 75 ohm BNC has a thin pin: look before it is pushed in.
  ['bnc75thin-plug', 'bnc75thin-jack', 'straight'],
  ['bnc75thin-plug', 'bnc75-jack', 'straight'],
  ['bnc75-plug', 'bnc75thin-jack', 'straight'],
  ...through.map((family): Row => [`${family}-jack`, `${family}-jack`, 'feed-through']),
  ...saved.map((family): Row => [`${family}-plug`, `${family}-jack`, 'saver']),
  ...bent.map((family): Row => [`${family}-plug`, `${family}-jack`, 'right angle']),
  ...padded.flatMap((family): Row[] => [
    [`${family}75-plug`, `${family}-jack`, 'matching pad'],
    [`${family}75-jack`, `${family}-plug`, 'matching pad'],
  ]),
];

const bodyLengthMm = (face: Face): number =>
  seriesOf(face)[face.body === 'plug' ? 'plugLengthMm' : 'jackLengthMm'];

const suffix: Record<AdapterForm, string> = {
  straight: '',
  'feed-through': '-through',
  'right angle': '-angle',
  saver: '-saver',
  'matching pad': '-pad',
  device: '',
};

/** Share of its body's length which each form adds; a bent or padded body is longer. Nominal, from memory. */
const stretch: Record<AdapterForm, number> = {
  straight: 0.75,
  'feed-through': 1.1,
  'right angle': 0.8,
  saver: 0.6,
  'matching pad': 1,
  device: 1,
};

function adapter([a, b, form]: Row): Adapter {
  const faces = [faceOf(a), faceOf(b)];
  const lengthMm = Math.round(faces.reduce((sum, face) => sum + bodyLengthMm(face), 0) * stretch[form]);
  const outerMm = Math.max(...faces.map((face) => seriesOf(face).plugNutMm));
  return {
    id: `${a}-to-${b}${suffix[form]}`,
    name: `${faceName(faces[0])} to ${faceName(faces[1])}${form === 'straight' ? '' : `, ${form}`}`,
    faces: [a, b],
    form,
    lengthMm,
    massG: Math.round(lengthMm * outerMm * 0.05),
    electricalMm: Math.round(lengthMm * 0.35),
    maxFrequencyHz:
      Math.min(...faces.map((face) => variantOf(face).maxFrequencyHz)) * (form === 'right angle' ? 0.7 : 1),
    source: 'nominal, from memory; lengths from the series’ bodies',
  };
}

/** Does it only carry on, so that it may stand wherever faces differ? */
export const isPlainAdapter = ({ device }: Adapter): boolean => device === undefined;

/** The adapters of the trade: barrels, between series, polarity converters, savers, right angles, matching pads. */
export const adapters: Adapter[] = rows.map(adapter);
