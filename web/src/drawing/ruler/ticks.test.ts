import { describe, expect, it } from 'vitest';
import { rulerTicks } from './ticks.js';

describe('ticks of the ruler', () => {
  it('are labelled in the unit in use, evenly', () => {
    const labels = (units: 'metric' | 'imperial') =>
      rulerTicks(0, 24.2, units, 5)
        .filter(({ label }) => label)
        .map(({ label }) => label);
    expect(labels('metric')).toEqual(['0', '5 m', '10 m', '15 m', '20 m']);
    expect(labels('imperial')).toEqual(['0', '20 ft', '40 ft', '60 ft']);
  });

  it('stand where they say, and never beyond the run', () => {
    const all = rulerTicks(0, 24.2, 'imperial', 5);
    expect(all.find(({ label }) => label === '20 ft')?.atM).toBeCloseTo(6.096, 9);
    expect(Math.max(...all.map(({ atM }) => atM))).toBeLessThanOrEqual(24.2);
  });

  it('a run of no length still has its zero', () =>
    expect(rulerTicks(0, 0, 'metric', 5)[0]).toMatchObject({ atM: 0 }));

  it('zoomed in, they are fine and still begin and end with what is shown', () => {
    const close = rulerTicks(1.23, 1.31, 'metric', 6);
    expect(close.filter(({ label }) => label).map(({ label }) => label)).toContain('1260 mm');
    for (const { atM } of close) {
      expect(atM).toBeGreaterThanOrEqual(1.23);
      expect(atM).toBeLessThanOrEqual(1.31);
    }
    expect(rulerTicks(1.23, 1.31, 'imperial', 6).some(({ label }) => label.endsWith(' in'))).toBe(true);
  });
});
