import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, cable, fact, snagsOf } from '../aRun.fixture.js';

// Common practice, no source: an exposed joint is wrapped; unsealed series more urgently. Sealing data: the series’ standards.
describe('unsealedJoint', () => {
  it('N outdoors is a note, UHF a caution, and a logged wrap ends it', () => {
    const run = anOutdoorRun();
    const [snag] = snagsOf(run, 'unsealed').filter(({ at }) => at === 'main>antenna');
    expect(snag.level).toBe('note');
    const uhf = anOutdoorRun({ antenna: { name: 'Dipole', face: 'uhf-jack', swr: 1.2, dcShort: true } });
    uhf.pieces[2] = cable({ lengthM: 11, b: { part: 'uhf-plug-crimp-10mm' } });
    expect(snagsOf(uhf, 'unsealed').find(({ at }) => at === 'main>antenna')?.level).toBe('caution');
    const sealed = [fact({ kind: 'sealed', jointId: 'main>antenna' })];
    expect(snagsOf(run, 'unsealed', sealed).some(({ at }) => at === 'main>antenna')).toBe(false);
  });
  it('is silent indoors', () => expect(snagsOf(aRun(), 'unsealed')).toEqual([]));
});
