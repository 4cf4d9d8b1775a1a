import { readBench } from '@kobran/contract';
import { BENCH_SCHEMA, type ReadBench } from '@kobran/core';

const design = {
  schema: 'kobran-design/1',
  name: 'A jumper',
  service: {
    bands: [{ name: 'VHF', lowHz: 144e6, highHz: 148e6 }],
    powerW: 25,
    duty: 0.3,
    lossBudgetDb: 3,
    dcFeed: false,
    ambientC: 20,
  },
  radio: { name: 'Radio', face: 'n-jack', handheld: false },
  antenna: { name: 'Antenna', face: 'n-jack', swr: 1.5, dcShort: false },
  pieces: [
    {
      kind: 'assembly',
      id: 'jumper',
      label: 'Jumper',
      cable: 'rg213',
      lengthM: 4,
      lot: 'Red reel',
      a: { part: 'n-plug-crimp-10mm' },
      b: { part: 'n-plug-crimp-10mm' },
    },
  ],
  legs: [],
};

/** A jumper on the bench as its document. */
export const aBenchDocument = (over: object = {}): object => ({
  schema: BENCH_SCHEMA,
  design,
  catalog: [],
  pieceId: 'jumper',
  seed: 0,
  far: 'load',
  rained: false,
  wiggled: false,
  ...over,
});

/** A jumper on the bench. */
export function aBench(over: object = {}): ReadBench {
  const read = readBench(aBenchDocument(over));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.bench;
}
