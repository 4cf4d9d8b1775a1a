import { describe, expect, it } from 'vitest';
import { aRun, cable, snagsOf } from '../aRun.fixture.js';

// Foil rubbing on braid is heard by the receiver beside a transmitter that is always on. Common practice, no source.
describe('duplexNoise', () => {
  const on = (id: string, duty: number) =>
    snagsOf(aRun({ service: { duty }, pieces: [cable({ cable: id })] }), 'duplex-noise');
  it('foil and braid on a repeater gets a word', () => expect(on('c400', 1)[0].level).toBe('note'));
  it('two braids, and a set that listens half the time, do not', () => {
    expect(on('rg214', 1)).toEqual([]);
    expect(on('c400', 0.5)).toEqual([]);
  });
});
