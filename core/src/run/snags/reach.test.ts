import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

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
