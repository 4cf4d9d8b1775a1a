import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { aRun, cable, snagsOf } from '../aRun.fixture.js';

// Foil rubbing on braid is heard by the receiver beside a transmitter that is always on. Common practice, no source.
describe('duplexNoise', () => {
  const on = (id: string, duty: number) =>
    snagsOf(aRun({ service: { duty }, pieces: [cable({ cable: id })] }), 'duplex-noise');
  it('foil and braid on a repeater gets a word', () => expect(on('c400', 1)[0].level).toBe('note'));
  it('is said once of a run with several such cables', () => {
    const many = ['c400', 'rg6', 'c400'].map((id, k) => cable({ id: `c${k}`, cable: id }));
    const said = snagsOf(aRun({ service: { duty: 1 }, pieces: many }), 'duplex-noise');
    expect(said).toHaveLength(1);
    for (const id of ['c400', 'rg6'])
      expect(said[0].what.split(entry(catalog.cables, id).name)).toHaveLength(2);
  });
  it('two braids, and a set that listens half the time, do not', () => {
    expect(on('rg214', 1)).toEqual([]);
    expect(on('c400', 0.5)).toEqual([]);
  });
});
