import {
  DESIGN_SCHEMA,
  SPEED_OF_LIGHT,
  catalog,
  defaultPractice,
  entry,
  resonanceOfDelay,
  trueVelocityFactor,
  type Design,
  type FactOf,
} from '@kobran/core';
import { on, type DemoJob } from './demoJob.js';
import { feeder, feederId, osterCragSite } from './osterCragSite.js';

/** A drum of cable whose velocity factor the crew has learned from pieces of it. */
const LOT = 'Drum 7';
/** As the simulated bench has it, so that a piece of it reads there as these did. */
const TRUE_VELOCITY_FACTOR = trueVelocityFactor(entry(catalog.cables, 'rg213'), LOT);
const NEAR_S = 60e-12;

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
      lot: LOT,
      set: 'phasing pair',
      target: { frequencyHz: 151.6e6, degrees: 450 },
    },
  ],
  legs: [{ id: 'mast', name: 'the mast head', kind: 'tower leg', zone: 'ice', lengthM: 1.3, slackM: 0.1 }],
};

/** Its twin, trimmed already. */
const lowerLeg: Design = {
  ...phasingLeg,
  name: 'Phasing leg, lower dipole of the pair',
  antenna: { ...phasingLeg.antenna, name: 'Lower dipole' },
  pieces: phasingLeg.pieces.map((piece) => ({ ...piece, id: 'lower-leg', label: 'Lower leg' })),
};

/** What earlier pieces of the drum read, the lower leg among them. */
const trims: FactOf<'trimmed'>[] = [1.702, 1.655, 1.634, 1.248].map((lengthM, k) => {
  const delayS = NEAR_S + lengthM / (TRUE_VELOCITY_FACTOR * SPEED_OF_LIGHT);
  // A hand and an analyser err a little.
  const frequencyHz = Math.round(resonanceOfDelay(delayS, 'open', 1) * (1 + 1e-4 * ((k % 3) - 1)));
  return {
    id: `0d7c4a10-0000-4000-8000-00000000030${k}`,
    kind: 'trimmed',
    pieceId: k < 3 ? 'lower-leg' : 'tee-stub',
    by: 'Hedra',
    at: on(6, 10 + k),
    trim: { cable: 'rg213', lot: LOT, lengthM, frequencyHz, far: 'open', order: 1, nearS: NEAR_S },
  };
});

/** The hill top, in the ice. */
export const osterCrag: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b002',
  name: 'Oster Crag',
  site: 'Tarrowmere Flood Watch, hill-top repeater in the ice',
  practice: { ...defaultPractice, tapeStretch: 'hard' },
  place: osterCragSite,
  runs: [
    {
      id: '7a0e1d00-0000-4000-8000-00000000a005',
      design: phasingLeg,
      facts: trims.filter(({ pieceId }) => pieceId !== 'lower-leg'),
    },
    {
      id: '7a0e1d00-0000-4000-8000-00000000a010',
      design: lowerLeg,
      facts: trims.filter(({ pieceId }) => pieceId === 'lower-leg'),
    },
    {
      id: feederId,
      design: feeder,
      facts: [
        {
          id: '0d7c4a10-0000-4000-8000-000000000021',
          kind: 'tube checked',
          pieceId: 'arrester',
          reason: 'after a strike near by',
          found: 'damaged',
          by: 'Hedra',
          at: on(9, 15),
        },
      ],
    },
  ],
};
