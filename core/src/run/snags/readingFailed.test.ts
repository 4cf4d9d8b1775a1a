import { describe, expect, it } from 'vitest';
import { anOutdoorRun, fact, sheetOf, snagsOf } from '../aRun.fixture.js';
import { factsOf } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import { signOffProblem } from '../stages/index.js';

// Handbook of the trade, 11: a failed reading of the whole run is as serious as one of a piece.
describe('readingFailed', () => {
  const run = anOutdoorRun();
  const swr = fact({ kind: 'run reading', what: 'swr', value: 5 });
  const lossy = fact({ kind: 'run reading', what: 'return loss', value: 1.3 });
  const good = fact({ kind: 'run reading', what: 'return loss', value: 30 });
  const proveOf = (facts: Facts) => sheetOf(run, facts).stages.find(({ id }) => id === 'prove');

  it('stops a run that reads badly, at Prove and at the hand-over', () => {
    expect(snagsOf(run, 'reading-failed', [swr])).toMatchObject([
      {
        level: 'stop',
        stage: 'prove',
        at: 'run',
        what: 'The whole run: SWR at the radio, antenna on failed',
      },
    ]);
    expect(snagsOf(run, 'reading-failed', [lossy])).toMatchObject([
      {
        what: 'The whole run: return loss into a load failed',
        why: expect.stringContaining('1.30 dB') as string,
      },
    ]);
    expect(proveOf([swr])?.state).toBe('snags');
    expect(signOffProblem(sheetOf(run, [swr]), { by: 'Wenna', reason: 'in a hurry' })?.code).toBe(
      'handover.stop',
    );
  });

  it('stops a cable that does, and is silent for good readings and before any', () => {
    const [{ pieceId, expectations }] = sheetOf(run).proofs;
    const value = expectations.find(({ id }) => id === 'loop')?.most ?? NaN;
    const loop = (ohm: number) => fact({ kind: 'reading', pieceId, expectation: 'loop', value: ohm });
    expect(snagsOf(run, 'reading-failed', [loop(value * 10)])).toMatchObject([{ at: pieceId }]);
    expect(snagsOf(run, 'reading-failed', [loop(value)])).toEqual([]);
    expect(snagsOf(run, 'reading-failed', [good])).toEqual([]);
    expect(snagsOf(run, 'reading-failed')).toEqual([]);
  });

  it('a good reading after it, or its withdrawal, lifts the stop; the entry stays in the log', () => {
    const later = { ...good, id: 'later', at: '2026-12-01T10:00:00Z' };
    expect(snagsOf(run, 'reading-failed', [{ ...lossy, at: '2026-11-30T10:00:00Z' }, later])).toEqual([]);
    const taken = fact({
      kind: 'withdrawn',
      of: swr.id,
      about: 'swr',
      text: 'swr: SWR 5.00',
      why: 'typed 5 for 1.5',
    });
    const facts = [swr, { ...taken, id: 'w' }];
    expect(snagsOf(run, 'reading-failed', facts)).toEqual([]);
    expect(factsOf(facts, 'run reading')).toEqual([]);
    expect(facts).toContain(swr);
    // What a hand did is not undone by a word: an end stays made.
    const cut = { ...fact({ kind: 'cut', pieceId: 'main' }), id: 'c' };
    expect(factsOf([cut, { ...taken, id: 'w', of: 'c' } as typeof cut], 'cut')).toEqual([cut]);
  });
});
