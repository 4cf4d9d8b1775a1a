import { describe, expect, it } from 'vitest';
import { anOutdoorRun, fact, sheetOf, snagsOf } from '../aRun.fixture.js';

// Prove before seal: handbook of the trade, 6 and 9.
describe('sealedUnproved', () => {
  const run = anOutdoorRun();
  const sealed = fact({ kind: 'sealed', jointId: 'main>antenna' });
  it('tells of a seal over a cable with readings to take', () =>
    expect(snagsOf(run, 'sealed-unproved', [sealed])).toMatchObject([
      { level: 'caution', at: 'main>antenna', what: expect.stringContaining('Main cable') as unknown },
    ]));
  it('is silent when they are in and good, and before anything is sealed', () => {
    const { proofs } = sheetOf(run);
    const readings = proofs.flatMap(({ pieceId, expectations }) =>
      expectations.map(({ id, expected }) =>
        fact({
          kind: 'reading',
          pieceId,
          expectation: id,
          value: id === 'insulation' ? null : expected.value,
        }),
      ),
    );
    expect(snagsOf(run, 'sealed-unproved', [sealed, ...readings])).toEqual([]);
    expect(snagsOf(run, 'sealed-unproved')).toEqual([]);
  });
});
