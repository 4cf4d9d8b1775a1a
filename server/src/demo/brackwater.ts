import { DESIGN_SCHEMA, defaultPractice, onSite, type Design } from '@kobran/core';
import { brackwaterRoutes, brackwaterSite } from './brackwaterSite.js';
import { vhfFacts } from './brackwaterHistory.js';
import { vhfTraces } from './vhfTraces.js';
import { nothingYet, on, type DemoJob } from './demoJob.js';

/** With the legs its ways give, so that it says the same without them. */
const onTheSite = (design: Design): Design => onSite(design, brackwaterSite);

const vhfVoice = onTheSite({
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
  legs: [],
  route: brackwaterRoutes.vhf,
});

const uhfLink = onTheSite({
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
  legs: [],
  route: brackwaterRoutes.uhf,
});

const hfFallback = onTheSite({
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
  legs: [],
  route: brackwaterRoutes.hf,
});

const dataRadio = onTheSite({
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
      lengthM: 13.6,
      a: { part: 'n-plug-crimp-10mm' },
      b: { part: 'n-plug-crimp-10mm' },
    },
  ],
  legs: [],
  route: brackwaterRoutes.data,
});

const weatherReceiver = onTheSite({
  schema: DESIGN_SCHEMA,
  name: 'Weather picture receiver, hut to mast preamplifier',
  service: {
    bands: [{ name: 'weather', lowHz: 137.1e6, highHz: 137.9e6 }],
    powerW: 0,
    duty: 1,
    lossBudgetDb: 1,
    dcFeed: true,
    ambientC: 30,
    noiseFigureDb: 4,
    preamplifier: { noiseFigureDb: 1.2, gainDb: 22 },
  },
  radio: { name: 'Weather receiver', face: 'f-jack', handheld: false },
  antenna: { name: 'Mast preamplifier', face: 'f-jack', swr: 1.3, dcShort: false },
  pieces: [
    {
      kind: 'assembly',
      id: 'patch',
      label: 'Receiver patch',
      cable: 'rg6',
      lengthM: 3.2,
      a: { part: 'f-plug-compression-7mm75' },
      b: { part: 'f-plug-compression-7mm75' },
    },
    { kind: 'arrester', id: 'arrester', arrester: 'gas-f', reversed: true, tubeV: 90 },
    {
      kind: 'assembly',
      id: 'main',
      label: 'Preamplifier feed',
      cable: 'rg11',
      lengthM: 24.4,
      a: { part: 'f-plug-compression-10mm75' },
      b: { part: 'f-plug-compression-10mm75' },
    },
  ],
  legs: [],
  route: brackwaterRoutes.weather,
});

/** The base: a hut at the sluice and its mast. */
export const brackwater: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b001',
  name: 'Brackwater Sluice',
  site: 'Tarrowmere Flood Watch, base hut and mast',
  place: brackwaterSite,
  photographed: true,
  practice: {
    ...defaultPractice,
    diesMm: [3.25, 5.4, 6.5, 10.9],
    crew: ['Wenna', 'Joss', 'Petrok', 'Hedra'],
  },
  runs: [
    {
      id: '7a0e1d00-0000-4000-8000-00000000a001',
      design: vhfVoice,
      facts: vhfFacts,
      traces: vhfTraces(vhfVoice),
    },
    { id: '7a0e1d00-0000-4000-8000-00000000a002', design: uhfLink, facts: nothingYet },
    { id: '7a0e1d00-0000-4000-8000-00000000a003', design: hfFallback, facts: nothingYet },
    { id: '7a0e1d00-0000-4000-8000-00000000a004', design: dataRadio, facts: nothingYet },
    {
      id: '7a0e1d00-0000-4000-8000-00000000a006',
      design: weatherReceiver,
      facts: nothingYet,
      handedOver: {
        design: {
          ...weatherReceiver,
          pieces: weatherReceiver.pieces.map((piece) =>
            piece.id === 'patch' && piece.kind === 'assembly' ? { ...piece, lengthM: 2.4 } : piece,
          ),
        },
        by: 'Hedra',
        at: on(5, 16),
        reason: 'receives for the flood season; ground and seal follow',
      },
    },
  ],
};
