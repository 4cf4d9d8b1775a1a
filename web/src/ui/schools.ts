import type { Practice, School } from '@kobran/core';

/** Methods which a stage and the practice both offer. */

export const schoolsOfCutting: School<Practice['cutSchool']>[] = [
  {
    value: 'exact',
    label: 'Exact',
    why: 'speed of light times velocity factor; the one to trust for phase',
  },
  { value: 'shop', label: 'Shop constant 468', why: 'about 5 % short; only with trimming to a reading' },
];

export const schoolsOfLap: School<NonNullable<Practice['tapeLap']>>[] = [
  { value: 'half', label: 'Half', why: 'two layers a pass; the usual one' },
  {
    value: 'two thirds',
    label: 'Two thirds',
    why: 'three layers a pass: half as much tape again, for salt and ice',
  },
];

export const schoolsOfTape: School<Practice['tapeStretch']>[] = [
  {
    value: 'a little',
    label: 'A little, 1.5 times',
    why: 'thicker layer, no risk of tearing; never less, or it does not fuse',
  },
  { value: 'hard', label: 'Hard, 1.8 times', why: 'fuses fastest; over-stretched it thins' },
];
