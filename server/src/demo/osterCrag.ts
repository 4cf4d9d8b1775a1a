import { DESIGN_SCHEMA, defaultPractice, type Design } from '@kobran/core';
import { nothingYet, type DemoJob } from './demoJob.js';

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

/** The hill top, in the ice. */
export const osterCrag: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b002',
  name: 'Oster Crag',
  site: 'Tarrowmere Flood Watch, hill-top repeater in the ice',
  practice: { ...defaultPractice, tapeStretch: 'hard' },
  runs: [{ id: '7a0e1d00-0000-4000-8000-00000000a005', design: phasingLeg, facts: nothingYet }],
};
