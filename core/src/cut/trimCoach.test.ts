import prand from 'pure-rand';
import { describe, expect, it } from 'vitest';
import { SPEED_OF_LIGHT } from '../line/index.js';
import {
  CUT_SIGMA_M,
  READING_SIGMA,
  delayOfResonance,
  firstCut,
  fitTrim,
  learnLot,
  nextCut,
  resonanceOfDelay,
  resonancesOf,
  type LotReading,
  type TrimGoal,
  type TrimReading,
} from './index.js';

/** The trade's example: a quarter wave at 27.2 MHz in cable of velocity factor 0.695, no connectors counted. */
const quarter: TrimGoal = {
  frequencyHz: 27.2e6,
  degrees: 90,
  toComeS: 0,
  nearS: 0,
  velocityFactor: 0.695,
  velocitySigma: 0.005,
  toleranceDeg: 0.5,
};
const reading = (lengthM: number, frequencyHz: number, order = 1): TrimReading => ({
  lengthM,
  frequencyHz,
  far: 'open',
  order,
});

describe('a quarter wave at 27.2 MHz', () => {
  // First principles: 1.915 m exact; first pieces are cut 50 to 250 mm long (common practice, no source).
  it('is cut long first', () => {
    const { lengthM, longM } = firstCut(quarter);
    expect(lengthM - longM).toBeCloseTo(1.915, 3);
    expect(longM).toBeGreaterThanOrEqual(0.025);
    expect(longM).toBeLessThanOrEqual(0.25);
  });

  // Next cut = length · (1 − f_read / f_target), of it 80 % at first (handbook rule).
  it('of a first reading 80 % of length · (1 − f/f0) is cut', () => {
    const advice = nextCut(quarter, [reading(2.0, 26.05e6)]);
    if (advice.kind !== 'cut') throw new Error(advice.kind);
    expect(advice.first).toBe(true);
    expect(advice.residual.metres).toBeCloseTo(2.0 * (1 - 26.05 / 27.2), 2);
    expect(advice.cutM).toBeCloseTo(0.8 * advice.residual.metres, 9);
    expect(advice.residual.hz).toBeCloseTo(1.15e6, -3);
  });

  it('is done within its tolerance, and says what is left', () => {
    const advice = nextCut(quarter, [reading(2.0, 26.05e6), reading(1.92, 27.13e6)]);
    if (advice.kind !== 'done') throw new Error(advice.kind);
    expect(advice.residual.degrees).toBeCloseTo(90 * (27.2 / 27.13 - 1), 3);
    expect(advice.residual.metresSigma).toBeGreaterThan(0);
  });

  it('cut too short is said as such', () =>
    expect(nextCut(quarter, [reading(1.88, 27.7e6)]).kind).toBe('too short'));

  it('the wrong resonance is a question with the right one named', () => {
    const advice = nextCut(quarter, [reading(2.0, 3 * 26.05e6)]);
    if (advice.kind !== 'doubt') throw new Error(advice.kind);
    expect(advice.order).toBe(2);
  });

  it('kHz typed for MHz cannot be of this piece', () => {
    const advice = nextCut(quarter, [reading(2.0, 26.05e3)]);
    expect(advice).toMatchObject({ kind: 'doubt', order: undefined });
  });
});

describe('resonances', () => {
  // An open lossy line: Γ = e^(−2αl)·e^(−j2βl) is −e^(−2αl) at odd quarter waves; standard transmission-line theory.
  it('are found in a sweep between its samples', () => {
    const delayS = 8.2e-9;
    const f = Float64Array.from({ length: 301 }, (_, k) => 1e6 + k * 0.7e6);
    const turned = (of: (angle: number) => number): Float64Array =>
      f.map((hz) => 10 ** (-0.02 - hz / 4e9) * of(-4 * Math.PI * hz * delayS));
    const found = resonancesOf({ re: turned(Math.cos), im: turned(Math.sin) }, f);
    expect(found).toHaveLength(3);
    found.forEach((hz, k) => expect(hz * delayS * 4).toBeCloseTo(2 * k + 1, 6));
  });

  // Open lines are near zero ohm at odd quarter waves, shorted ones at half waves; standard transmission-line theory.
  it.each([
    ['open', 1, 0.25],
    ['open', 2, 0.75],
    ['shorted', 1, 0.5],
    ['shorted', 3, 1.5],
  ] as const)('%s, number %d: %d wavelengths', (far, order, waves) =>
    expect(delayOfResonance({ frequencyHz: 1e6, far, order }) * 1e6).toBeCloseTo(waves, 12),
  );

  it('several at once fit velocity factor and connector offset together', () => {
    const [vf, offsetS] = [0.66, 90e-12];
    const goal: TrimGoal = { ...quarter, velocityFactor: 0.65, velocitySigma: 0.01, nearS: 60e-12 };
    const readings = [3, 2, 1.2, 0.7].flatMap((lengthM) =>
      [1, 2, 3].map((order) => {
        const delayS = offsetS + lengthM / (vf * SPEED_OF_LIGHT);
        return { lengthM, order, far: 'open' as const, frequencyHz: resonanceOfDelay(delayS, 'open', order) };
      }),
    );
    const fit = fitTrim(goal, readings);
    expect(fit.velocityFactor).toBeCloseTo(vf, 3);
    expect(fit.offsetS).toBeCloseTo(offsetS, 11);
    expect(fit.velocitySigma).toBeLessThan(goal.velocitySigma / 5);
  });
});

describe('ten thousand pieces, simulated with a hand and an analyser that err', () => {
  it('each is done in at most three cuts, and none is ever cut below its goal', () => {
    const rng = prand.xoroshiro128plus(20261125);
    const uniform = (): number => prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, rng) / 2 ** 30;
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
    let most = 0;
    let shortest = Infinity;
    let worstDegrees = 0;
    for (let piece = 0; piece < 10_000; piece++) {
      const frequencyHz = 10 ** (6.5 + 2.2 * uniform());
      const goal: TrimGoal = {
        frequencyHz,
        degrees: 90 * (1 + Math.floor(4 * uniform())),
        toComeS: 50e-12 * uniform(),
        nearS: 40e-12 + 40e-12 * uniform(),
        velocityFactor: 0.66 + 0.2 * uniform(),
        velocitySigma: 0.005,
        toleranceDeg: 1,
      };
      // Data sheets are good to ± 1 to 2 %: here ± 1.5 %, three standard deviations.
      const trueVf = goal.velocityFactor * (1 + 0.015 * (2 * uniform() - 1) * 0.8);
      const trueNearS = goal.nearS * (1 + 0.1 * (2 * uniform() - 1));
      const goalS = goal.degrees / 360 / frequencyHz - goal.toComeS;
      let lengthM = firstCut(goal).lengthM;
      // A goal shorter than a first cut's excess is no piece anyone cuts.
      if (lengthM < 0.15) continue;
      const readings: TrimReading[] = [];
      for (let cuts = 0; ; cuts++) {
        const delayS = trueNearS + lengthM / (trueVf * SPEED_OF_LIGHT);
        readings.push({
          lengthM: lengthM + CUT_SIGMA_M * normal(),
          frequencyHz: resonanceOfDelay(delayS, 'open', 1) * (1 + READING_SIGMA * normal()),
          far: 'open',
          order: 1,
        });
        const advice = nextCut(goal, readings);
        if (advice.kind === 'done') {
          most = Math.max(most, cuts);
          worstDegrees = Math.max(worstDegrees, (delayS - goalS) * frequencyHz * 360);
          break;
        }
        if (advice.kind !== 'cut')
          throw new Error(`piece ${piece}: ${JSON.stringify({ advice, goal, trueVf, lengthM })}`);
        lengthM -= advice.cutM + CUT_SIGMA_M * normal();
        shortest = Math.min(
          shortest,
          (lengthM / (trueVf * SPEED_OF_LIGHT) + trueNearS - goalS) * trueVf * SPEED_OF_LIGHT,
        );
        if (cuts > 6) throw new Error(`piece ${piece} is not done after ${cuts} cuts`);
      }
    }
    expect(most).toBeLessThanOrEqual(3);
    expect(shortest).toBeGreaterThanOrEqual(0);
    expect(worstDegrees).toBeGreaterThan(0);
  });
});

describe('a lot teaches its velocity factor', () => {
  const sheet = { velocityFactor: 0.66, sigma: 0.005 };
  const piece = (vf: number, lengthM: number, k = 0): LotReading => ({
    piece: `piece ${k}`,
    lengthM,
    delayS: lengthM / (vf * SPEED_OF_LIGHT),
  });

  it('without readings it is the data sheet’s', () => {
    const { velocityFactor, sigma } = learnLot([], sheet);
    expect(velocityFactor).toBeCloseTo(0.66, 12);
    expect(sigma).toBeCloseTo(0.005, 9);
  });

  it('one long piece says more than the data sheet; each further one narrows it', () => {
    const one = learnLot([piece(0.668, 3)], sheet);
    expect(one.velocityFactor).toBeCloseTo(0.668, 3);
    expect(one.sigma).toBeLessThan(0.001);
    const many = learnLot(
      [1, 2, 3, 4, 5].map((k) => piece(0.668, 3, k)),
      sheet,
    );
    expect(many.sigma).toBeLessThan(one.sigma);
  });

  it('a long piece counts more than a short one', () => {
    const { velocityFactor } = learnLot([piece(0.67, 10, 1), piece(0.66, 0.3, 2)], sheet);
    expect(velocityFactor).toBeGreaterThan(0.6695);
  });

  it('an outlier is flagged and left out', () => {
    const good = [0.6681, 0.668, 0.6679, 0.6682].map((vf, k) => piece(vf, 2, k));
    const { outliers, velocityFactor } = learnLot([...good, piece(0.7, 2, 9)], sheet);
    expect(outliers.map(({ piece: name }) => name)).toEqual(['piece 9']);
    expect(velocityFactor).toBeCloseTo(0.668, 3);
  });
});
