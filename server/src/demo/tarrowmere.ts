import { DESIGN_SCHEMA, defaultPractice, type Design, type Facts, type Practice } from '@kobran/core';

/** The Tarrowmere Flood Watch: an invented volunteer radio network in an invented valley. */

export interface DemoRun {
  id: string;
  design: Design;
  facts: Facts;
}

export interface DemoJob {
  id: string;
  name: string;
  site: string;
  practice: Practice;
  runs: DemoRun[];
}

const on = (day: number, hour: number): string =>
  `2026-11-${String(day).padStart(2, '0')}T${String(hour).padStart(2, '0')}:00:00.000Z`;

const vhfVoice: Design = {
  schema: DESIGN_SCHEMA,
  name: 'VHF voice, hut to mast dipole',
  service: {
    bands: [{ name: 'flood voice', lowHz: 151.6e6, highHz: 151.6e6 }],
    powerW: 25,
    duty: 0.3,
    lossBudgetDb: 2,
    dcFeed: false,
    ambientC: 35,
  },
  radio: { name: 'VHF base set', face: 'uhf-jack', handheld: false },
  antenna: { name: 'Mast dipole', face: 'n-jack', swr: 1.5, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'jumper',
      label: 'Hut jumper',
      cable: 'rg213',
      lengthM: 2.4,
      a: { part: 'uhf-plug-crimp-10mm' },
      b: { part: 'n-plug-crimp-10mm' },
    },
    { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 230 },
    {
      kind: 'assembly',
      id: 'main',
      label: 'Mast cable',
      cable: 'rg213',
      lengthM: 21.6,
      a: { part: 'n-plug-gland-10mm' },
      b: { part: 'n-plug-crimp-10mm' },
    },
  ],
  legs: [
    { id: 'bench', name: 'the bench tray', kind: 'indoor tray', zone: 'dry', lengthM: 1.9, slackM: 0.3 },
    {
      id: 'box',
      name: 'the entry box',
      kind: 'wall feed-through',
      zone: 'sheltered',
      lengthM: 0.5,
      slackM: 0.2,
    },
    { id: 'duct', name: 'the duct to the mast', kind: 'duct', zone: 'buried', lengthM: 9, slackM: 0.3 },
    {
      id: 'tower',
      name: 'the mast',
      kind: 'tower leg',
      zone: 'outdoor',
      lengthM: 10.8,
      slackM: 0.8,
      bendRadiusMm: 100,
    },
  ],
};

const uhfLink: Design = {
  schema: DESIGN_SCHEMA,
  name: 'UHF link, hut to yagi',
  service: {
    bands: [{ name: 'link', lowHz: 452.3e6, highHz: 452.3e6 }],
    powerW: 10,
    duty: 1,
    lossBudgetDb: 3,
    dcFeed: false,
    ambientC: 30,
  },
  radio: { name: 'UHF link set', face: 'n-jack', handheld: false },
  antenna: { name: 'Yagi to Oster Crag', face: 'uhf-jack', swr: 1.3, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'jumper',
      label: 'Rack jumper',
      cable: 'rg58',
      lengthM: 1.2,
      a: { part: 'n-plug-crimp-5mm' },
      b: { part: 'n-plug-crimp-5mm' },
    },
    { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 350 },
    {
      kind: 'assembly',
      id: 'main',
      label: 'Mast cable',
      cable: 'rg213',
      lengthM: 24.9,
      a: { part: 'n-plug-crimp-10mm' },
      b: { part: 'uhf-plug-crimp-10mm' },
    },
  ],
  legs: [
    { id: 'rack', name: 'the rack', kind: 'indoor tray', zone: 'dry', lengthM: 1, slackM: 0.2 },
    {
      id: 'wall',
      name: 'the wall entry',
      kind: 'wall feed-through',
      zone: 'sheltered',
      lengthM: 0.6,
      slackM: 0.4,
    },
    { id: 'duct', name: 'the duct to the mast', kind: 'duct', zone: 'buried', lengthM: 9, slackM: 0.5 },
    { id: 'tower', name: 'the mast', kind: 'tower leg', zone: 'outdoor', lengthM: 13.5, slackM: 0.8 },
  ],
};

const hfFallback: Design = {
  schema: DESIGN_SCHEMA,
  name: 'HF fall-back, bench to dipole',
  service: {
    bands: [{ name: 'fall-back', lowHz: 5.37e6, highHz: 5.37e6 }],
    powerW: 100,
    duty: 0.4,
    lossBudgetDb: 1.5,
    dcFeed: false,
    ambientC: 35,
  },
  radio: { name: 'HF set', face: 'uhf-jack', handheld: false },
  antenna: { name: 'Dipole centre with choke', face: 'uhf-jack', swr: 1.8, dcShort: false },
  pieces: [
    { kind: 'adapter', id: 'adapter', adapter: 'uhf-plug-to-bnc-jack', reversed: false },
    {
      kind: 'assembly',
      id: 'patch',
      label: 'Bench patch',
      cable: 'rg58',
      lengthM: 1.5,
      a: { part: 'bnc-plug-crimp-5mm' },
      b: { part: 'uhf-plug-crimp-5mm' },
    },
    { kind: 'arrester', id: 'arrester', arrester: 'gas-uhf', reversed: true, tubeV: 90 },
    {
      kind: 'assembly',
      id: 'main',
      label: 'Dipole feeder',
      cable: 'rg8x',
      lengthM: 22,
      a: { part: 'uhf-plug-crimp-6mm' },
      b: { part: 'uhf-plug-crimp-6mm' },
    },
  ],
  legs: [
    { id: 'bench', name: 'the bench', kind: 'indoor tray', zone: 'dry', lengthM: 1.4, slackM: 0.15 },
    {
      id: 'eaves',
      name: 'the eaves',
      kind: 'wall feed-through',
      zone: 'sheltered',
      lengthM: 0.4,
      slackM: 0.2,
    },
    {
      id: 'garden',
      name: 'the span to the dipole',
      kind: 'aerial',
      zone: 'outdoor',
      lengthM: 19.6,
      slackM: 1.2,
    },
  ],
};

const dataRadio: Design = {
  schema: DESIGN_SCHEMA,
  name: 'Data radio, cabinet to collinear',
  service: {
    bands: [{ name: 'telemetry', lowHz: 869.4e6, highHz: 869.65e6 }],
    powerW: 0.5,
    duty: 0.1,
    lossBudgetDb: 3,
    dcFeed: false,
    ambientC: 40,
  },
  radio: { name: 'Data radio', face: 'rp-sma-jack', handheld: false },
  antenna: { name: 'Collinear', face: 'n-jack', swr: 1.5, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'pigtail',
      label: 'Cabinet pigtail',
      cable: 'c195',
      lengthM: 0.8,
      a: { part: 'sma-plug-crimp-5mm' },
      b: { part: 'n-plug-crimp-5mm' },
    },
    { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 90 },
    {
      kind: 'assembly',
      id: 'main',
      label: 'Pole cable',
      cable: 'c400',
      lengthM: 8.6,
      a: { part: 'n-plug-crimp-10mm' },
      b: { part: 'n-plug-crimp-10mm' },
    },
  ],
  legs: [
    { id: 'cabinet', name: 'the cabinet', kind: 'indoor tray', zone: 'dry', lengthM: 0.7, slackM: 0.1 },
    { id: 'pole', name: 'the pole', kind: 'surface clipped', zone: 'salt', lengthM: 7.6, slackM: 0.8 },
  ],
};

const phasingLeg: Design = {
  schema: DESIGN_SCHEMA,
  name: 'Phasing leg, upper dipole of the pair',
  service: {
    bands: [{ name: 'flood voice', lowHz: 151.6e6, highHz: 151.6e6 }],
    powerW: 12.5,
    duty: 0.3,
    lossBudgetDb: 1,
    dcFeed: false,
    ambientC: 20,
  },
  radio: { name: 'Harness tee', face: 'n-jack', handheld: false },
  antenna: { name: 'Upper dipole', face: 'n-jack', swr: 1.4, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'leg',
      label: 'Upper leg',
      cable: 'rg213',
      lengthM: 1.6,
      a: { part: 'n-plug-gland-10mm' },
      b: { part: 'n-plug-gland-10mm' },
      target: { frequencyHz: 151.6e6, degrees: 450 },
    },
  ],
  legs: [{ id: 'mast', name: 'the mast head', kind: 'tower leg', zone: 'ice', lengthM: 1.3, slackM: 0.1 }],
};

/** Part of the history of the VHF run: what the crew has made, read and done so far. */
const vhfFacts: Facts = {
  readings: [
    {
      id: '0d7c4a10-0000-4000-8000-000000000001',
      pieceId: 'jumper',
      expectation: 'loop',
      value: 0.04,
      by: 'Wenna',
      at: on(3, 9),
    },
    {
      id: '0d7c4a10-0000-4000-8000-000000000002',
      pieceId: 'jumper',
      expectation: 'insulation',
      value: null,
      by: 'Wenna',
      at: on(3, 9),
    },
    {
      id: '0d7c4a10-0000-4000-8000-000000000003',
      pieceId: 'jumper',
      expectation: 'loss@151600000',
      value: 0.24,
      by: 'Wenna',
      at: on(3, 10),
    },
  ],
  log: [
    {
      id: '0d7c4a10-0000-4000-8000-000000000011',
      kind: 'end made',
      about: 'jumper.a',
      text: 'UHF plug, crimp neck: made and checked',
      by: 'Wenna',
      at: on(2, 14),
    },
    {
      id: '0d7c4a10-0000-4000-8000-000000000012',
      kind: 'end made',
      about: 'jumper.b',
      text: 'N plug, crimp: made and checked',
      by: 'Joss',
      at: on(2, 15),
    },
    {
      id: '0d7c4a10-0000-4000-8000-000000000013',
      kind: 'end failed',
      about: 'main.b',
      text: 'short after the crimp: braid inside the neck',
      by: 'Joss',
      at: on(2, 16),
    },
    {
      id: '0d7c4a10-0000-4000-8000-000000000014',
      kind: 'routed',
      about: '',
      text: 'pulled through the duct, loop left at the mast foot',
      by: 'Petrok',
      at: on(4, 11),
    },
  ],
};

const noFacts: Facts = { readings: [], log: [] };

export const tarrowmere: DemoJob[] = [
  {
    id: '7a0e1d00-0000-4000-8000-00000000b001',
    name: 'Brackwater Sluice',
    site: 'Tarrowmere Flood Watch, base hut and mast',
    practice: defaultPractice,
    runs: [
      { id: '7a0e1d00-0000-4000-8000-00000000a001', design: vhfVoice, facts: vhfFacts },
      { id: '7a0e1d00-0000-4000-8000-00000000a002', design: uhfLink, facts: noFacts },
      { id: '7a0e1d00-0000-4000-8000-00000000a003', design: hfFallback, facts: noFacts },
      { id: '7a0e1d00-0000-4000-8000-00000000a004', design: dataRadio, facts: noFacts },
    ],
  },
  {
    id: '7a0e1d00-0000-4000-8000-00000000b002',
    name: 'Oster Crag',
    site: 'Tarrowmere Flood Watch, hill-top repeater in the ice',
    practice: { ...defaultPractice, tapeStretch: 'hard' },
    runs: [{ id: '7a0e1d00-0000-4000-8000-00000000a005', design: phasingLeg, facts: noFacts }],
  },
];
