import {
  DESIGN_SCHEMA,
  batchEndId,
  endId,
  catalog,
  defaultPractice,
  entry,
  recipes,
  type Design,
  type FactOf,
} from '@kobran/core';
import { on, type DemoJob } from './demoJob.js';

const jumpers: Design = {
  schema: DESIGN_SCHEMA,
  name: 'Spare jumpers, bench set to dummy load',
  service: {
    bands: [{ name: 'flood voice', lowHz: 151.6e6, highHz: 151.6e6 }],
    powerW: 25,
    duty: 0.3,
    lossBudgetDb: 1,
    dcFeed: false,
    ambientC: 25,
  },
  radio: { name: 'Bench set', face: 'uhf-jack', handheld: false },
  antenna: { name: 'Dummy load', face: 'n-jack', swr: 1.1, dcShort: true },
  pieces: [
    {
      kind: 'assembly',
      id: 'jumper',
      label: 'Spare jumper',
      cable: 'rg58',
      lengthM: 1.5,
      a: { part: 'uhf-plug-crimp-5mm' },
      b: { part: 'n-plug-crimp-5mm' },
    },
  ],
  legs: [{ id: 'bench', name: 'the bench', kind: 'indoor tray', zone: 'dry', lengthM: 1.1, slackM: 0.1 }],
};

/** One row of the workshop’s book: what was tried, how often it came out, and what went wrong. */
interface BookRow {
  part: string;
  cable: string;
  by: string;
  day: number;
  made: number;
  failed: { cause: string; lostM: number; step: string }[];
}

const melted = {
  cause: 'heated for long: the insulation melts and the centre wanders into the braid',
  step: 'Holes',
  lostM: 0.05,
};
const whisker = {
  cause: 'one strand outside the pin shorts to the body later',
  step: 'Strands',
  lostM: 0.02,
};

const book: BookRow[] = [
  { part: 'bnc-plug-crimp-5mm', cable: 'rg58', by: 'Wenna', day: 1, made: 12, failed: [whisker] },
  {
    part: 'uhf-plug-solder-10mm',
    cable: 'rg213',
    by: 'Joss',
    day: 2,
    made: 6,
    failed: [
      melted,
      melted,
      { cause: 'a grey lump on the body only: a cold joint that turns later', step: 'Tug', lostM: 0.05 },
      melted,
    ],
  },
  {
    part: 'n-plug-crimp-5mm',
    cable: 'rg58',
    by: 'Petrok',
    day: 3,
    made: 9,
    failed: [{ cause: 'no click: pin not home, the contact is too deep', step: 'Body', lostM: 0.035 }],
  },
  {
    part: 'n-plug-gland-10mm',
    cable: 'rg213',
    by: 'Wenna',
    day: 4,
    made: 7,
    failed: [
      { cause: 'forgotten or back to front: the finished end has to be cut off', step: 'Tug', lostM: 0.045 },
    ],
  },
  { part: 'uhf-plug-crimp-10mm', cable: 'rg213', by: 'Joss', day: 5, made: 10, failed: [] },
  {
    part: 'sma-plug-crimp-25mm',
    cable: 'rg316',
    by: 'Petrok',
    day: 6,
    made: 5,
    failed: [
      whisker,
      { cause: 'wrong die: it slips off in a tug, or crushes the dielectric', step: 'Tug', lostM: 0.02 },
    ],
  },
];

/** The book as facts, one for each try. */
const log: FactOf<'end made' | 'end failed'>[] = book
  .flatMap(({ part, cable, by, day, made, failed }) =>
    [...Array.from({ length: made }, () => undefined), ...failed].map((failure, k) => {
      const known = entry(catalog.parts, part);
      const recipe =
        recipes.find(({ makes }) => makes(known, entry(catalog.cables, cable)))?.id ?? known.style;
      const kind = failure ? ('end failed' as const) : ('end made' as const);
      return {
        kind,
        endId: batchEndId(endId('jumper', day % 2 === 0 ? 'a' : 'b'), day * 20 + k),
        by,
        at: on(day, 9),
        end: { part, cable, recipe, work: 'new end' as const, ...failure },
      };
    }),
  )
  .map((row, k) => ({ ...row, id: `0d7c4a10-0000-4000-8000-0000000001${String(k).padStart(2, '0')}` }));

/** The crew’s bench, where jumpers are made by the dozen. */
export const workshop: DemoJob = {
  id: '7a0e1d00-0000-4000-8000-00000000b005',
  name: 'Sluice workshop',
  site: 'Tarrowmere Flood Watch, the bench behind the hut',
  practice: { ...defaultPractice, twoPersonCheck: true, crew: ['Wenna', 'Joss', 'Petrok', 'Hedra'] },
  runs: [{ id: '7a0e1d00-0000-4000-8000-00000000a009', design: jumpers, facts: log }],
};
