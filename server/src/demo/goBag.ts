import { DESIGN_SCHEMA, defaultPractice, type Design } from '@kobran/core';
import { nothingYet, type DemoJob } from './demoJob.js';

const rollUp: Design = {
  schema: DESIGN_SCHEMA,
  name: 'Handheld 4 to the roll-up antenna',
  service: {
    bands: [{ name: 'flood voice', lowHz: 151.6e6, highHz: 151.6e6 }],
    powerW: 5,
    duty: 0.2,
    lossBudgetDb: 1.5,
    dcFeed: false,
    ambientC: 30,
  },
  radio: { name: 'Handheld 4', face: 'sma-jack', handheld: true },
  antenna: { name: 'Roll-up antenna', face: 'bnc-plug', swr: 1.6, dcShort: false },
  pieces: [
    { kind: 'adapter', id: 'first', adapter: 'sma-plug-to-n-jack', reversed: false },
    { kind: 'adapter', id: 'second', adapter: 'n-plug-to-bnc-jack', reversed: false },
    {
      kind: 'assembly',
      id: 'lead',
      label: 'Roll-up lead',
      cable: 'rg58',
      lengthM: 4.2,
      a: { part: 'bnc-plug-crimp-5mm' },
      b: { part: 'bnc-jack-crimp-5mm' },
    },
  ],
  legs: [{ id: 'tree', name: 'up the tree', kind: 'aerial', zone: 'outdoor', lengthM: 3.6, slackM: 0.3 }],
};

/** What one person carries up a hill. */
export const goBag: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b004',
  name: 'Go-bag',
  site: 'Tarrowmere Flood Watch, four handhelds and what they reach',
  practice: defaultPractice,
  runs: [{ id: '7a0e1d00-0000-4000-8000-00000000a008', design: rollUp, facts: nothingYet }],
};
