import fc from 'fast-check';
import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { fact } from '../aRun.fixture.js';
import { checkSweeps, sweepHash, type SampledSweep } from './index.js';

const number = fc.double({ noNaN: true, noDefaultInfinity: true });
const samples = fc.record({ re: fc.array(number, { minLength: 1, maxLength: 5 }) }).map(({ re }) => ({
  re,
  im: re.map((value) => value / 3),
}));
const sweeps: fc.Arbitrary<SampledSweep> = fc
  .record({
    referenceOhm: fc.double({ min: 1, max: 1e6, noNaN: true }),
    frequencyHz: fc.array(number, { minLength: 1, maxLength: 5 }),
    s11: samples,
    s21: fc.option(samples, { nil: undefined }),
  })
  .map(({ s21, ...rest }) => (s21 ? { ...rest, s21 } : rest));

describe('the hash of a sweep', () => {
  // Another implementation of SHA-256 (FIPS 180-4), over bytes which are written here by hand.
  it('is that of its bytes by another library', () => {
    const sweep = { referenceOhm: 50, frequencyHz: [1e6, 2e6], s11: { re: [0.1, -0], im: [0, 2] } };
    const bytes = Float64Array.from([50, 2, 1e6, 2e6, 2, 0.1, 0, 2, 0, 2, 0, 0, 0, 0, 0, 0]);
    expect(sweepHash(sweep)).toBe(createHash('sha256').update(new Uint8Array(bytes.buffer)).digest('hex'));
  });

  it('is the same after a way through JSON, and another for any other sample', () => {
    fc.assert(
      fc.property(sweeps, fc.nat(), number, (sweep, at, value) => {
        const hash = sweepHash(sweep);
        expect(sweepHash(JSON.parse(JSON.stringify(sweep)) as SampledSweep)).toBe(hash);
        const k = at % sweep.s11.re.length;
        fc.pre(sweep.s11.re[k] !== value);
        const re = Array.from(sweep.s11.re).with(k, value);
        expect(sweepHash({ ...sweep, s11: { ...sweep.s11, re } })).not.toBe(hash);
        // The same numbers as another parameter are another sweep.
        const { s11, ...rest } = sweep;
        if (!sweep.s21) expect(sweepHash({ ...rest, s11: { re: [], im: [] }, s12: s11 })).not.toBe(hash);
      }),
    );
  });
});

// By the meaning of the words.
describe('sweeps against their log', () => {
  const day = (k: number): string => `2026-11-0${k}T09:00:00.000Z`;
  const of = (name: string) => ({ pieceId: 'main', name, sha256: name.padEnd(64, '0') });
  const taken = (name: string, k: number) => fact({ kind: 'sweep', ...of(name) }, day(k));
  const withdrawn = (name: string, k: number) => fact({ kind: 'sweep withdrawn', ...of(name) }, day(k));
  const hash = (name: string): string => of(name).sha256;

  it('what was taken is there, what was withdrawn need not be, and what no log has is counted', () => {
    const facts = [taken('a', 1), taken('b', 2), taken('c', 3), withdrawn('c', 4)];
    expect(checkSweeps(facts, ['a', 'b'].map(hash))).toEqual({ sound: ['a', 'b'], missing: [], unlogged: 0 });
    expect(checkSweeps(facts, ['a', 'x'].map(hash))).toEqual({ sound: ['a'], missing: ['b'], unlogged: 1 });
    expect(checkSweeps([...facts, taken('c', 5)], ['a', 'b'].map(hash)).missing).toEqual(['c']);
    expect(checkSweeps([], ['x'].map(hash))).toEqual({ sound: [], missing: [], unlogged: 1 });
  });
});
