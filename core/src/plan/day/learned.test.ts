import { describe, expect, it } from 'vitest';
import { normals } from '../../chance/index.js';
import { learnedMinutes } from './index.js';

/** A log of somebody whose times are log-normal about a median of their own. */
function simulated(count: number, median: number, sigma: number, seed: number): { minutes: number }[] {
  const draw = normals(seed);
  return Array.from({ length: count }, () => ({ minutes: median * Math.exp(sigma * draw()) }));
}

describe('learned minutes', () => {
  it('nothing known: the default', () => expect(learnedMinutes(12, []).minutes).toBeCloseTo(12, 9));

  it('converge on what a crew really takes, and on its spread', () => {
    for (const [median, sigma] of [
      [18, 0.2],
      [6, 0.5],
    ]) {
      const { minutes, spread } = learnedMinutes(12, simulated(800, median, sigma, 7));
      expect(minutes / median).toBeGreaterThan(0.95);
      expect(minutes / median).toBeLessThan(1.05);
      expect(spread / (minutes * (Math.exp(sigma) - 1))).toBeGreaterThan(0.9);
      expect(spread / (minutes * (Math.exp(sigma) - 1))).toBeLessThan(1.1);
    }
  });

  it('a few records move it a little: one slow end is no rule', () => {
    const { minutes } = learnedMinutes(12, [{ minutes: 60 }]);
    expect(minutes).toBeGreaterThan(12);
    expect(minutes).toBeLessThan(20);
  });
});
