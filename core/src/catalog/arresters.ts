import type { FaceCode } from './face.js';

/** A coaxial surge arrester. */
export interface Arrester {
  id: string;
  name: string;
  kind: 'gas tube' | 'dc-blocked gas tube' | 'quarter-wave stub';
  /** First face is the surge (antenna) side when the arrester is not symmetrical. */
  faces: [FaceCode, FaceCode];
  symmetrical: boolean;
  passesDc: boolean;
  tubeChangeable: boolean;
  lowHz: number;
  highHz: number;
  insertionLossDb: number;
  /** Shunt capacitance left after the body’s compensation of the tube, farad. */
  capacitanceF: number;
  lengthMm: number;
  studThread: string;
  source: string;
}

const fromMemory = 'nominal of its kind, from memory';

export const arresters: Arrester[] = [
  {
    id: 'gas-n',
    name: 'Gas-tube arrester, N jack to N jack',
    kind: 'gas tube',
    faces: ['n-jack', 'n-jack'],
    symmetrical: true,
    passesDc: true,
    tubeChangeable: true,
    lowHz: 0,
    highHz: 2.5e9,
    insertionLossDb: 0.1,
    capacitanceF: 0.3e-12,
    lengthMm: 62,
    studThread: '1/4-20',
    source: fromMemory,
  },
  {
    id: 'gas-uhf',
    name: 'Gas-tube arrester, UHF jack to UHF jack',
    kind: 'gas tube',
    faces: ['uhf-jack', 'uhf-jack'],
    symmetrical: true,
    passesDc: true,
    tubeChangeable: true,
    lowHz: 0,
    highHz: 500e6,
    insertionLossDb: 0.1,
    capacitanceF: 0.8e-12,
    lengthMm: 64,
    studThread: '1/4-20',
    source: fromMemory,
  },
  {
    id: 'blocked-n',
    name: 'DC-blocked arrester, N jack to N jack',
    kind: 'dc-blocked gas tube',
    faces: ['n-jack', 'n-jack'],
    symmetrical: false,
    passesDc: false,
    tubeChangeable: true,
    lowHz: 100e6,
    highHz: 1e9,
    insertionLossDb: 0.15,
    capacitanceF: 0.3e-12,
    lengthMm: 70,
    studThread: '1/4-20',
    source: fromMemory,
  },
];

/** Gas tubes in common use, nominal DC sparkover in volts; tolerance 20 %. IEC 61643-311 and ITU-T K.12, from memory. */
export const gasTubeVolts = [90, 150, 230, 350, 470, 600, 1000];

/** A tube may fire this fraction below its nominal voltage. IEC 61643-311, from memory. */
export const GAS_TUBE_TOLERANCE = 0.2;
