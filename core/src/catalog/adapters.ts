import { faceName, faceOf, type Face, type FaceCode } from './face.js';
import { seriesById } from './series/index.js';

/** A rigid piece with two faces. Lengths in mm. */
export interface Adapter {
  id: string;
  name: string;
  faces: [FaceCode, FaceCode];
  rightAngle: boolean;
  lengthMm: number;
  massG: number;
  /** Electrical length between the two faces, mm of 50 ohm line. */
  electricalMm: number;
  maxFrequencyHz: number;
  source: string;
}

/** The adapters which installers carry: barrels, plug to plug, between series, polarity converters, right angles. */
const common: [FaceCode, FaceCode, 'right angle'?][] = [
  ['uhf-jack', 'uhf-jack'],
  ['uhf-plug', 'uhf-plug'],
  ['n-jack', 'n-jack'],
  ['n-plug', 'n-plug'],
  ['bnc-jack', 'bnc-jack'],
  ['bnc-plug', 'bnc-plug'],
  ['sma-jack', 'sma-jack'],
  ['f-jack', 'f-jack'],
  ['uhf-plug', 'bnc-jack'],
  ['uhf-jack', 'bnc-plug'],
  ['uhf-plug', 'n-jack'],
  ['uhf-jack', 'n-plug'],
  ['n-plug', 'bnc-jack'],
  ['n-jack', 'bnc-plug'],
  ['sma-plug', 'bnc-jack'],
  ['sma-jack', 'bnc-plug'],
  ['sma-jack', 'bnc-jack'],
  ['sma-plug', 'n-jack'],
  ['sma-jack', 'n-plug'],
  ['sma-plug', 'uhf-jack'],
  ['rp-sma-plug', 'sma-jack'],
  ['rp-sma-jack', 'sma-plug'],
  ['rp-sma-plug', 'n-jack'],
  ['f-jack', 'bnc75-plug'],
  ['f-plug', 'bnc75-jack'],
  ['n-plug', 'n-jack', 'right angle'],
  ['uhf-plug', 'uhf-jack', 'right angle'],
  ['bnc-plug', 'bnc-jack', 'right angle'],
];

const bodyLengthMm = ({ series, body }: Face): number =>
  seriesById[series][body === 'plug' ? 'plugLengthMm' : 'jackLengthMm'];
const topHz = ({ series, impedanceOhm }: Face): number =>
  seriesById[series].variants.find((v) => v.impedanceOhm === impedanceOhm)?.maxFrequencyHz ?? 0;

function adapter([a, b, bent]: (typeof common)[number]): Adapter {
  const faces = [faceOf(a), faceOf(b)];
  const lengthMm = Math.round(faces.reduce((sum, face) => sum + bodyLengthMm(face), 0) * 0.75);
  return {
    id: `${a}-to-${b}${bent ? '-angle' : ''}`,
    name: `${faceName(faces[0])} to ${faceName(faces[1])}${bent ? ', right angle' : ''}`,
    faces: [a, b],
    rightAngle: bent !== undefined,
    lengthMm,
    massG: Math.round(lengthMm * 0.9),
    electricalMm: Math.round(lengthMm * 0.35),
    maxFrequencyHz: Math.min(...faces.map(topHz)) * (bent ? 0.7 : 1),
    source: 'nominal, from memory; lengths from the series’ bodies',
  };
}

export const adapters: Adapter[] = common.map(adapter);
