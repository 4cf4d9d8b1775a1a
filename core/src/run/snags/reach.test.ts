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
  // Turns of a choke are part of the run and go nowhere: they are neither slack nor to be cut away.
  it('turns of a choke are no slack', () => {
    const levels = (lengthM: number, woundM?: number) =>
      snagsOf(aRun({ pieces: [cable({ lengthM, woundM })] }), 'reach').map(({ level }) => level);
    expect(levels(26)).toEqual(['note']);
    expect(levels(26, 12)).toEqual(levels(14));
    expect(levels(14)).not.toEqual(['note']);
    expect(levels(20, 12)).toEqual(['stop']);
  });
  it('without legs it asks for them', () =>
    expect(snagsOf(aRun({ legs: [] }), 'reach')[0].remedies[0].open).toBe('route'));
});
