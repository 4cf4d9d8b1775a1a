import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, cable, fact, mends, sheetOf, snagsOf } from '../aRun.fixture.js';

// Common practice, no source; the local electrical code decides.
describe('arresterMissing', () => {
  const bare = anOutdoorRun({ pieces: [cable({ lengthM: 13 })] });
  it('an outdoor run without one is cautioned at the entry; cutting the cable there mends it', () => {
    const [snag] = snagsOf(bare, 'arrester-missing');
    expect(snag).toMatchObject({ level: 'caution', stage: 'ground', distanceM: 2 });
    expect(snag.remedies[0].title).toContain('Cut Main cable at the entry');
    expect(mends(bare, 'arrester-missing', 0)).toBe(true);
  });
  it('the cut run still has its length and mates everywhere', () => {
    const [{ remedies }] = snagsOf(bare, 'arrester-missing');
    const [change] = remedies[0].changes;
    if (change.op !== 'splice pieces') throw new Error('not a splice');
    const after = sheetOf({ ...bare, pieces: change.insert });
    expect(after.passes).toBe(true);
    expect(after.totalM).toBeGreaterThanOrEqual(13);
  });
  it('is silent indoors and where an arrester is', () => {
    expect(snagsOf(aRun(), 'arrester-missing')).toEqual([]);
    expect(snagsOf(anOutdoorRun(), 'arrester-missing')).toEqual([]);
  });
});

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

// Arithmetic of the legs.
describe('reach', () => {
  it('too short is a stop; the remedy makes it reach', () => {
    const short = aRun({ pieces: [cable({ lengthM: 9 })] });
    expect(snagsOf(short, 'reach')[0]).toMatchObject({ level: 'stop', stage: 'route' });
    expect(mends(short, 'reach', 0)).toBe(true);
  });
  it('much too long is a note', () => {
    const long = aRun({ pieces: [cable({ lengthM: 40 })] });
    expect(snagsOf(long, 'reach')[0].level).toBe('note');
    expect(mends(long, 'reach', 0)).toBe(true);
  });
  it('without legs it asks for them', () =>
    expect(snagsOf(aRun({ legs: [] }), 'reach')[0].remedies[0].open).toBe('route'));
});

// Jacket data of the cables; burial rule: handbook practice.
describe('jacket', () => {
  it('RG-58 in earth is a stop; a duct or another cable mends it', () => {
    const buried = aRun({
      pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
      legs: [
        { id: 'trench', name: 'the trench', kind: 'direct burial', zone: 'buried', lengthM: 12, slackM: 0 },
      ],
    });
    expect(snagsOf(buried, 'jacket')[0].level).toBe('stop');
    expect(mends(buried, 'jacket', 0)).toBe(true);
  });
  it('a jacket which sun destroys is cautioned outdoors', () => {
    const sunny = anOutdoorRun();
    sunny.pieces[2] = cable({
      cable: 'rg174',
      lengthM: 11,
      a: { part: 'bnc-plug-crimp-25mm' },
      b: { part: 'bnc-plug-crimp-25mm' },
    });
    expect(snagsOf(sunny, 'jacket')[0].level).toBe('caution');
  });
});

// Bend radii: cable data.
describe('bendRadius', () => {
  it('a tight bend is cautioned, and a flexing loop asks for more', () => {
    const leg = {
      id: 'loop',
      name: 'the loop',
      lengthM: 12,
      slackM: 0,
      zone: 'dry' as const,
      bendRadiusMm: 70,
    };
    expect(snagsOf(aRun({ legs: [{ ...leg, kind: 'indoor tray' }] }), 'bend')).toEqual([]);
    const flexing = aRun({ legs: [{ ...leg, kind: 'rotator loop' }] });
    expect(snagsOf(flexing, 'bend')[0].why).toContain('100 mm when flexed');
    expect(mends(flexing, 'bend', 0)).toBe(true);
  });
});

// Dimensions of part and cable.
describe('cableFit', () => {
  it('a 5 mm part on 10 mm cable is a stop; the right part mends it', () => {
    const wrong = aRun({ pieces: [cable({ a: { part: 'n-plug-crimp-5mm' } })] });
    const [snag] = snagsOf(wrong, 'cable-fit');
    expect(snag.level).toBe('stop');
    expect(snag.why).toMatch(/mm too small/);
    expect(mends(wrong, 'cable-fit', 0)).toBe(true);
  });
});
