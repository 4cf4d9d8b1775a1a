import { describe, expect, it } from 'vitest';
import { bothEnds, correctedLossDb, firstStepW, judgePowerSteps, metersDifferenceDb } from './index.js';

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

describe('power at both ends against the computed loss', () => {
  const expected = { lossDb: 0.7, toleranceDb: 0.15 };
  // Handbook of the trade: 10 W in and 5 W out of a cable that should lose 0.7 dB is a fail; meters are good to 5 % each.
  it('10 W in and 5 W out where 0.7 dB are computed is a fail, and names the figures', () => {
    const judged = judgePowerSteps([step(10, 0.1, 5)], 10, expected);
    expect(judged.verdict).toBe('fail');
    expect(judged.why).toMatch(/10 W in and 5 W out are 3\.0 dB; 0\.7 dB are computed/);
  });

  // 10·log10(1.05/0.95) = 0.43 dB is what two meters may differ by.
  it('what the meters may differ by is no fault', () => {
    expect(judgePowerSteps([step(10, 0.1, 8)], 10, expected).verdict).toBe('pass');
    expect(judgePowerSteps([step(10, 0.1, 7.5)], 10, expected).verdict).toBe('pass');
    expect(judgePowerSteps([step(10, 0.1, 7)], 10, expected).verdict).toBe('fail');
  });

  it('meters read in series first: their difference is kept and taken off', () => {
    // The second reads 10 % low: 0.46 dB.
    const series = { ...step(10, 0, 9), inSeries: true as const };
    expect(metersDifferenceDb([series])).toBeCloseTo(0.458, 3);
    expect(judgePowerSteps([step(10, 0.1, 7.66)], 10, expected).verdict).toBe('pass');
    expect(judgePowerSteps([series, step(10, 0.1, 7.66)], 10, expected).verdict).toBe('pass');
    // Without the difference this would look sound.
    expect(judgePowerSteps([{ ...series, loadW: 11 }, step(10, 0.1, 7.5)], 10, expected).verdict).toBe(
      'fail',
    );
    expect(judgePowerSteps([series], 10, expected)).toMatchObject({ verdict: 'marginal' });
    // 10·log10(10/9.91) = 0.04 dB is nothing for two meters of 5 %.
    const alike = { ...step(10, 0, 9.91), inSeries: true as const };
    expect(judgePowerSteps([alike], 10, expected).verdict).toBe('pass');
    expect(judgePowerSteps([alike], 10, expected).why).toContain('0.04 dB');
    // What is listed has the difference taken off: 10·log10(10/7.66) less 0.458 dB.
    expect(correctedLossDb(step(10, 0.1, 7.66), [series])).toBeCloseTo(1.158 - 0.458, 3);
    expect(correctedLossDb(step(10, 0.1), [series])).toBeUndefined();
    expect(correctedLossDb(series, [series])).toBeUndefined();
  });

  // A handheld of 4 W has no 5 W: common practice is half power at the most, and no more than 5 W.
  it('nobody is asked for more power first than there is', () => {
    for (const fullW of [0.5, 4, 10, 25, 1500]) expect(firstStepW(fullW)).toBeLessThan(fullW);
    expect(firstStepW(1500)).toBeLessThanOrEqual(5);
  });

  it('less than a cable can lose is the meters’ doing', () =>
    expect(judgePowerSteps([step(10, 0, 10.5)], 10, expected)).toMatchObject({
      verdict: 'marginal',
      why: expect.stringContaining('in series') as string,
    }));
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
