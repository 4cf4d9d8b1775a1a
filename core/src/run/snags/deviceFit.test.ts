import { describe, expect, it } from 'vitest';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';
import type { Design } from '../index.js';

const through = (adapter: string, service: Partial<Design['service']> = {}): Design =>
  aRun({
    pieces: [
      cable({ id: 'jumper', label: 'Jumper', lengthM: 1 }),
      { kind: 'adapter', id: 'box', adapter, reversed: false },
      cable(),
    ],
    service,
  });
const at = (mhz: number) => ({ bands: [{ name: 'band', lowHz: mhz * 1e6, highHz: mhz * 1e6 }] });

// Trade facts: a filter or duplexer passes its own band only, takes so much power, and its loops short direct current.
describe('devices in the run', () => {
  it('fit within their band, power and feed', () =>
    expect(snagsOf(through('filter-2m', { ...at(145), powerW: 25 }), 'device-band')).toEqual([]));

  it('stop a run in another band, and another filter is offered', () => {
    const design = through('filter-2m', { ...at(440), powerW: 25 });
    const [snag] = snagsOf(design, 'device-band');
    expect(snag).toMatchObject({ level: 'stop', at: 'box' });
    expect(snag.why).toContain('144 MHz to 148 MHz');
    expect(mends(design, 'device-band', 0)).toBe(true);
  });

  it('stop a run which heats them', () => {
    const design = through('duplexer-vhf', { ...at(150), powerW: 200, duty: 1 });
    const [snag] = snagsOf(design, 'device-power');
    expect(snag.why).toBe('200 W on average; it takes 50 W.');
    expect(mends(design, 'device-power', 0)).toBe(true);
  });

  it('stop a feed of direct current which they short', () => {
    const [snag] = snagsOf(through('filter-2m', { ...at(145), powerW: 0, dcFeed: true }), 'device-dc');
    expect(snag.why).toContain('shorted');
    expect(snagsOf(through('bias-tee-n', { ...at(145), powerW: 0, dcFeed: true }), 'device-dc')).toEqual([]);
  });
});
