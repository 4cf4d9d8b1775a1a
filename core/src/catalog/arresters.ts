import { faceName, faceOf, type FaceCode } from './face.js';

/** A coaxial surge arrester. */
export interface Arrester {
  id: string;
  name: string;
  kind: 'gas tube' | 'dc-blocked gas tube' | 'quarter-wave stub';
  /** First face is the surge (antenna) side when the arrester is not symmetrical. */
  faces: [FaceCode, FaceCode];
  symmetrical: boolean;
  passesDc: boolean;
  /** Does it join pin and shell for direct current? An ohm-meter then reads a short, and should. */
  groundsDc: boolean;
  tubeChangeable: boolean;
  lowHz: number;
  highHz: number;
  /** Nominal loss at 1 GHz, dB; taken to grow as √f like a contact’s, since a sheet gives one figure only. */
  insertionLossDb: number;
  /** Shunt capacitance left after the body’s compensation of the tube, farad. */
  capacitanceF: number;
  lengthMm: number;
  studThread: string;
  /** Surge it bears once, 8/20 µs, kA. */
  impulseKa: number;
  source: string;
}

type Nominal = Pick<Arrester, 'id' | 'kind' | 'lowHz' | 'highHz' | 'capacitanceF'> & {
  face: FaceCode;
  note?: string;
};

const nominal: Nominal[] = [
  { id: 'gas-n', kind: 'gas tube', face: 'n-jack', lowHz: 0, highHz: 2.5e9, capacitanceF: 0.3e-12 },
  { id: 'gas-uhf', kind: 'gas tube', face: 'uhf-jack', lowHz: 0, highHz: 500e6, capacitanceF: 0.8e-12 },
  { id: 'gas-bnc', kind: 'gas tube', face: 'bnc-jack', lowHz: 0, highHz: 2e9, capacitanceF: 0.3e-12 },
  { id: 'gas-tnc', kind: 'gas tube', face: 'tnc-jack', lowHz: 0, highHz: 2.5e9, capacitanceF: 0.3e-12 },
  { id: 'gas-f', kind: 'gas tube', face: 'f-jack', lowHz: 0, highHz: 2e9, capacitanceF: 0.3e-12 },
  { id: 'gas-716', kind: 'gas tube', face: '7-16-jack', lowHz: 0, highHz: 2.5e9, capacitanceF: 0.3e-12 },
  {
    id: 'blocked-n',
    kind: 'dc-blocked gas tube',
    face: 'n-jack',
    lowHz: 100e6,
    highHz: 1e9,
    capacitanceF: 0.3e-12,
  },
  {
    id: 'blocked-uhf',
    kind: 'dc-blocked gas tube',
    face: 'uhf-jack',
    lowHz: 1.5e6,
    highHz: 200e6,
    capacitanceF: 0.8e-12,
  },
  {
    id: 'stub-vhf',
    kind: 'quarter-wave stub',
    face: 'n-jack',
    lowHz: 138e6,
    highHz: 174e6,
    capacitanceF: 0,
    note: 'for 138 to 174 MHz',
  },
  {
    id: 'stub-uhf',
    kind: 'quarter-wave stub',
    face: 'n-jack',
    lowHz: 400e6,
    highHz: 480e6,
    capacitanceF: 0,
    note: 'for 400 to 480 MHz',
  },
  {
    id: 'stub-900',
    kind: 'quarter-wave stub',
    face: 'n-jack',
    lowHz: 820e6,
    highHz: 960e6,
    capacitanceF: 0,
    note: 'for 820 to 960 MHz',
  },
];

const kindNames: Record<Arrester['kind'], string> = {
  'gas tube': 'Gas-tube arrester',
  'dc-blocked gas tube': 'DC-blocked arrester',
  'quarter-wave stub': 'Quarter-wave stub arrester',
};

/** Nominal of their kinds, from memory: tubes of 8 mm bear 20 kA, smaller ones 10 kA; a stub’s solid metal more. */
const TUBE_KA = { large: 20, small: 10 };
const STUB_KA = 50;
const LARGE_FACES: readonly FaceCode[] = ['n-jack', 'uhf-jack', '7-16-jack'];

function arrester({ face, note, ...own }: Nominal): Arrester {
  const name = faceName(faceOf(face));
  const stub = own.kind === 'quarter-wave stub';
  const blocked = own.kind === 'dc-blocked gas tube';
  return {
    ...own,
    name: `${kindNames[own.kind]}, ${name} to ${name}${note ? `, ${note}` : ''}`,
    faces: [face, face],
    symmetrical: !blocked,
    passesDc: own.kind === 'gas tube',
    groundsDc: stub,
    tubeChangeable: !stub,
    insertionLossDb: blocked ? 0.15 : 0.1,
    lengthMm: blocked ? 70 : face === 'uhf-jack' ? 64 : face === '7-16-jack' ? 90 : 62,
    studThread: '1/4-20',
    impulseKa: stub ? STUB_KA : LARGE_FACES.includes(face) ? TUBE_KA.large : TUBE_KA.small,
    source: 'nominal of its kind, from memory',
  };
}

export const arresters: Arrester[] = nominal.map(arrester);

/** Gas tubes in common use, nominal DC sparkover in volts; tolerance 20 %. IEC 61643-311 and ITU-T K.12, from memory. */
export const gasTubeVolts = [90, 150, 230, 350, 470, 600, 1000];

/** How far the voltage climbs before a tube fires in a fast surge, 1 kV/µs, V. Typical; ITU-T K.12, from memory. */
export const letThroughV: ReadonlyMap<number, number> = new Map([
  [90, 600],
  [150, 650],
  [230, 700],
  [350, 900],
  [470, 1100],
  [600, 1300],
  [1000, 1900],
]);

/** A tube may fire this fraction below its nominal voltage. IEC 61643-311, from memory. */
export const GAS_TUBE_TOLERANCE = 0.2;
