import { describe, expect, it } from 'vitest';
import { aRun, fact, sheetOf } from '../aRun.fixture.js';
import type { Facts } from '../facts/kinds.js';
import { readingFindings } from './readingFindings.js';

const found = (facts: Facts) => readingFindings(sheetOf(aRun(), facts).proofs);
const read = (expectation: string, value: number | null) =>
  fact({ kind: 'reading', pieceId: 'main', expectation, value });

// Handbook, chapter 5: what a meter says of a cable. Limits: common practice, no source.
describe('what readings say to the causes', () => {
  it.each([
    [null, 'open'],
    [250e6, 'open'],
    [3e6, 'leaky'],
    [12, 'short'],
  ])('insulation of %s ohm is %s', (ohm, says) =>
    expect(found([read('insulation', ohm)])).toEqual({ insulation: says }),
  );
  it.each([
    [0.3, 'through'],
    [null, 'open'],
    [4.7e3, 'open'],
  ])('a loop of %s ohm is %s', (ohm, says) =>
    expect(found([read('loop', ohm)])).toEqual({ continuity: says }),
  );
  it('nothing read says nothing', () => expect(found([])).toEqual({}));
});
