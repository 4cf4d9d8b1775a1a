import { DESIGN_SCHEMA, defaultPractice, type Design } from '@kobran/core';
import { nothingYet, type DemoJob } from './demoJob.js';

const tideGauge: Design = {
  schema: DESIGN_SCHEMA,
  name: 'Tide gauge data radio, jetty to base',
  service: {
    bands: [{ name: 'telemetry', lowHz: 458.5e6, highHz: 459e6 }],
    powerW: 2,
    duty: 0.05,
    lossBudgetDb: 2,
    dcFeed: false,
    ambientC: 40,
  },
  radio: { name: 'Gauge modem', face: 'rp-tnc-jack', handheld: false },
  antenna: { name: 'Jetty yagi', face: 'n-jack', swr: 1.4, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'main',
      label: 'Jetty cable',
      cable: 'c400f',
      lengthM: 11.2,
      a: { part: 'tnc-plug-gland-10mm' },
      b: { part: 'n-plug-gland-10mm' },
    },
  ],
  legs: [
    { id: 'box', name: 'the gauge box', kind: 'indoor tray', zone: 'dry', lengthM: 0.6, slackM: 0.2 },
    { id: 'rail', name: 'the jetty rail', kind: 'surface clipped', zone: 'salt', lengthM: 9.4, slackM: 0.8 },
  ],
};

/** The jetty, in the salt. */
export const saltpan: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b003',
  name: 'Saltpan Jetty',
  site: 'Tarrowmere Flood Watch, tide gauge in the salt',
  practice: defaultPractice,
  runs: [{ id: '7a0e1d00-0000-4000-8000-00000000a007', design: tideGauge, facts: nothingYet }],
};
