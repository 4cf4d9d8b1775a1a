import type { Facts } from '@kobran/core';
import { on } from './demoJob.js';

/** Part of the history of the VHF run: what the crew has made, read and done so far. */
export const vhfFacts: Facts = [
  {
    id: '0d7c4a10-0000-4000-8000-000000000001',
    kind: 'reading',
    pieceId: 'jumper',
    expectation: 'loop',
    value: 0.04,
    by: 'Wenna',
    at: on(3, 9),
  },
  {
    id: '0d7c4a10-0000-4000-8000-000000000002',
    kind: 'reading',
    pieceId: 'jumper',
    expectation: 'insulation',
    value: null,
    by: 'Wenna',
    at: on(3, 9),
  },
  {
    id: '0d7c4a10-0000-4000-8000-000000000003',
    kind: 'reading',
    pieceId: 'jumper',
    expectation: 'loss@151600000',
    value: 0.24,
    by: 'Wenna',
    at: on(3, 10),
  },
  {
    id: '0d7c4a10-0000-4000-8000-000000000011',
    kind: 'end made',
    endId: 'jumper.a',
    by: 'Wenna',
    at: on(2, 14),
    end: { part: 'uhf-plug-crimp-10mm', cable: 'rg213', recipe: 'crimp-uhf', work: 'new end' },
  },
  {
    id: '0d7c4a10-0000-4000-8000-000000000012',
    kind: 'end made',
    endId: 'jumper.b',
    by: 'Joss',
    at: on(2, 15),
    end: {
      part: 'n-plug-crimp-10mm',
      cable: 'rg213',
      recipe: 'crimp-bnc',
      work: 'new end',
      checkedBy: 'Wenna',
    },
  },
  {
    id: '0d7c4a10-0000-4000-8000-000000000013',
    kind: 'end failed',
    endId: 'main.b',
    by: 'Joss',
    at: on(2, 16),
    end: {
      part: 'n-plug-crimp-10mm',
      cable: 'rg213',
      recipe: 'crimp-bnc',
      work: 'new end',
      cause: 'braid inside the neck: short',
      step: 'Prove',
      lostM: 0.038,
    },
  },
  {
    id: '0d7c4a10-0000-4000-8000-000000000014',
    kind: 'installed',
    wording: 'pulled through the duct, loop left at the mast foot',
    by: 'Petrok',
    at: on(4, 11),
  },
];
