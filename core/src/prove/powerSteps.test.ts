import { describe, expect, it } from 'vitest';
import { bothEnds, judgePowerSteps } from './index.js';

const step = (forwardW: number, reflectedW: number, loadW?: number) => ({
  frequencyHz: 145e6,
  forwardW,
  reflectedW,
  ...(loadW === undefined ? {} : { loadW }),
});

describe('power at both ends', () => {
  // |Γ| = √(Pr/Pf), SWR = (1 + |Γ|)/(1 − |Γ|): The ARRL Antenna Book. 4 % back is 1.5, 11.1 % is 2, 25 % is 3.
  it.each([
    [100, 4, 1.5],
    [9, 1, 2],
    [100, 25, 3],
    [50, 0, 1],
  ])('%d W forward and %d W back is SWR %d', (forward, back, swr) =>
    expect(bothEnds(step(forward, back)).swr).toBeCloseTo(swr, 9),
  );
  it('half the power in the load is 3 dB', () =>
    expect(bothEnds(step(10, 0, 5)).lossDb).toBeCloseTo(3.01, 2));
});

describe('step by step', () => {
  // Low power, then full: breakdown and heating show as a change. Common practice, no source.
  it.each([
    [[step(5, 0.05, 4), step(25, 0.25, 20)], 'pass', /Nothing changes/],
    [[step(25, 0.25, 20), step(5, 0.05, 4)], 'pass', /from 5\.0 W to 25 W/],
    [[step(5, 0.05), step(25, 12)], 'fail', /breaks down/],
    [[step(5, 0.05, 4), step(25, 0.25, 18)], 'fail', /heats/],
    [[step(5, 0.05)], 'marginal', /full power is 25 W/],
    [[step(25, 0.2)], 'pass', /alone/],
  ] as const)('case %#', (steps, verdict, why) => {
    const judged = judgePowerSteps(steps, 25);
    expect(judged.verdict).toBe(verdict);
    expect(judged.why).toMatch(why);
  });
});
