import fc from 'fast-check';
import prand, { type RandomGenerator } from 'pure-rand';
import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import {
  causeTests,
  causes,
  nextTests,
  rankCauses,
  withPriors,
  type Findings,
  type TestId,
} from '../../prove/index.js';
import { anOutdoorRun } from '../aRun.fixture.js';
import { predictSweep, sweepFindings, type LineFault } from '../index.js';

const design = anOutdoorRun();
const f = Float64Array.from({ length: 401 }, (_, k) => 1e6 + k * 2e6);
const sound = predictSweep(design, catalog, '', 'load', f);
/** Joints of the run which are no arrester's and not the antenna's: the radio, m. The cable is met within. */
const JOINT_M = 0;
const ARRESTER_M = sound.places[1].atM;
const END_M = sound.totalM;

describe('the model of causes', () => {
  it('every row is a distribution, and the priors are one', () => {
    expect(causes.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 9);
    for (const { id, answers } of causes)
      for (const test of Object.keys(causeTests) as TestId[]) {
        expect(answers[test], id).toHaveLength(causeTests[test].answers.length);
        expect(
          answers[test].reduce((sum, one) => sum + one, 0),
          `${id}: ${test}`,
        ).toBeCloseTo(1, 9);
      }
  });

  it('without findings the ranking is the priors; all together leave a little for what the list does not know', () => {
    const rest = 1 - rankCauses({}).reduce((sum, { probability }) => sum + probability, 0);
    expect(rest).toBeGreaterThan(0.01);
    expect(rest).toBeLessThan(0.05);
    for (const { cause, probability } of rankCauses({}))
      expect(probability / (1 - rest)).toBeCloseTo(cause.prior, 9);
    const any = fc.record(
      Object.fromEntries(
        Object.entries(causeTests).map(([test, { answers }]) => [
          test,
          fc.constantFrom(...(answers as string[])),
        ]),
      ),
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(any, (findings) => {
        const ranked = rankCauses(findings);
        expect(ranked.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1 - rest, 9);
      }),
    );
  });

  // Handbook practice, no source.
  it.each([
    [{ insulation: 'short', echo: 'at a joint' }, 'whisker'],
    [{ insulation: 'short', echo: 'at the arrester' }, 'failed tube'],
    [{ loss: 'more, rising with frequency', rain: 'worse after rain' }, 'water'],
    [{ echo: 'in a cable', match: 'worse' }, 'crush'],
    [{ wiggle: 'jumps', match: 'worse' }, 'loose nut'],
    [{ match: 'as computed', loss: 'as computed', echo: 'at the antenna' }, 'antenna'],
    [{ continuity: 'open', wiggle: 'jumps' }, 'open pin'],
  ] as [Findings, string][])('%j is %s first', (findings, first) =>
    expect(rankCauses(findings)[0].cause.id).toBe(first),
  );

  it('the next test is one that was not taken, settles something, and never the same twice', () => {
    const tests = nextTests({ insulation: 'short' });
    expect(tests.map(({ test }) => test)).not.toContain('insulation');
    // A short is a whisker or the tube: the echo says which.
    expect(tests[0].test).toBe('echo');
    for (const { settlesBits } of tests) expect(settlesBits).toBeGreaterThanOrEqual(-1e-9);
    const all = Object.keys(causeTests).length;
    expect(nextTests({})).toHaveLength(all);
  });

  it('a shop’s own priors are shares of one, and one that says nothing keeps the usual', () => {
    expect(withPriors([])).toEqual(
      causes.map((one) => ({ ...one, prior: expect.closeTo(one.prior, 9) as number })),
    );
    const ours = withPriors([{ cause: 'water', share: 0.9 }]);
    expect(ours.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 9);
    expect(rankCauses({}, ours)[0].cause.id).toBe('water');
    expect(withPriors(causes.map(({ id }) => ({ cause: id, share: 0 })))).toBe(causes);
  });

  it('a shop’s own priors count', () => {
    const oursOnly = causes.map((one) => ({ ...one, prior: one.id === 'antenna' ? 0.9 : 0.01 }));
    expect(rankCauses({}, oursOnly)[0].cause.id).toBe('antenna');
  });
});

/** A fault as it is on a mast: what the sweep will see, and what a meter and a hand find, each of which may err. */
interface Case {
  truth: string;
  faults: LineFault[];
  meter: Findings;
}

function aCase(rng: RandomGenerator): Case {
  const uniform = (from = 0, to = 1): number =>
    from + ((to - from) * prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, rng)) / 2 ** 30;
  const pick = <T>(...weighted: [T, number][]): T => {
    let at = uniform() * weighted.reduce((sum, [, weight]) => sum + weight, 0);
    for (const [one, weight] of weighted) if ((at -= weight) <= 0) return one;
    return weighted[0][0];
  };
  const truth = pick(...causes.map(({ id, prior }): [string, number] => [id, prior]));
  /** A joint, a little inside the cable behind it. */
  const jointM = JOINT_M + 0.002;
  const inCableM = uniform(ARRESTER_M + 1.5, END_M - 1.5);
  const still: Findings = {
    continuity: 'through',
    insulation: 'open',
    wiggle: pick(['still', 0.97], ['jumps', 0.03]),
    rain: pick(['no change', 0.95], ['worse after rain', 0.05]),
  };
  switch (truth) {
    case 'open pin':
      return {
        truth,
        faults: [{ kind: 'bad contact', atM: jointM, ohm: uniform(2e3, 1e6) }],
        meter: {
          ...still,
          continuity: pick(['open', 0.75], ['jumping', 0.25]),
          wiggle: pick(['jumps', 0.6], ['still', 0.4]),
        },
      };
    case 'reverse polarity':
      return {
        truth,
        faults: [{ kind: 'bad contact', atM: jointM, ohm: uniform(5e3, 1e6) }],
        meter: { ...still, continuity: 'open', wiggle: 'still' },
      };
    case 'whisker':
      return {
        truth,
        faults: [{ kind: 'short', atM: jointM, ohm: uniform(0.05, 3) }],
        meter: { ...still, insulation: 'short', wiggle: pick(['still', 0.5], ['jumps', 0.5]) },
      };
    case 'melted dielectric':
      return {
        truth,
        faults: [{ kind: 'crush', atM: jointM, lengthM: uniform(0.015, 0.035), ohm: uniform(15, 28) }],
        meter: { ...still, insulation: pick(['leaky', 0.65], ['open', 0.3], ['short', 0.05]) },
      };
    case 'wrong impedance part':
      return {
        truth,
        faults: [{ kind: 'crush', atM: jointM, lengthM: uniform(0.03, 0.06), ohm: uniform(72, 95) }],
        meter: still,
      };
    case 'loose nut':
      return {
        truth,
        faults: [{ kind: 'bad contact', atM: jointM, ohm: uniform(4, 40) }],
        meter: {
          ...still,
          continuity: pick(['through', 0.55], ['jumping', 0.45]),
          wiggle: pick(['jumps', 0.97], ['still', 0.03]),
        },
      };
    // Film and wear: an ohm or a few, where a loose nut has tens.
    case 'dirty contact':
      return {
        truth,
        faults: [{ kind: 'bad contact', atM: jointM, ohm: uniform(1, 8) }],
        meter: {
          ...still,
          continuity: pick(['through', 0.75], ['jumping', 0.25]),
          wiggle: pick(['still', 0.5], ['jumps', 0.5]),
        },
      };
    case 'water': {
      const fromM = uniform(ARRESTER_M + 0.5, END_M - 5);
      return {
        truth,
        faults: [{ kind: 'wet', fromM, toM: fromM + uniform(2, 4.5), addedK2: uniform(0.03, 0.15) }],
        meter: {
          ...still,
          insulation: pick(['leaky', 0.6], ['open', 0.4]),
          rain: pick(['worse after rain', 0.9], ['no change', 0.1]),
        },
      };
    }
    case 'crush':
      return {
        truth,
        faults: [{ kind: 'crush', atM: inCableM, lengthM: uniform(0.02, 0.12), ohm: uniform(15, 38) }],
        meter: still,
      };
    case 'failed tube':
      return {
        truth,
        faults: [{ kind: 'short', atM: ARRESTER_M, ohm: uniform(0.05, 2) }],
        meter: { ...still, insulation: 'short' },
      };
    case 'antenna':
      return {
        truth,
        faults: [],
        meter: {
          ...still,
          echo: 'at the antenna',
          rain: pick(['no change', 0.6], ['worse after rain', 0.4]),
        },
      };
    default:
      return { truth, faults: [], meter: still };
  }
}

describe('a thousand simulated faults', () => {
  it('the true one is first in 85 % and among the first three in 97 %', () => {
    // A seed of its own: the table was written from practice, not fitted to these cases.
    const rng = prand.xoroshiro128plus(97_531);
    const noise = (): number => (prand.unsafeUniformIntDistribution(-1000, 1000, rng) / 1000) * 5e-4;
    let [first, third] = [0, 0];
    const misses = new Map<string, number>();
    for (let k = 0; k < 1000; k++) {
      const { truth, faults, meter } = aCase(rng);
      const read = predictSweep(design, catalog, '', 'load', f, faults);
      const s11 = {
        re: read.s11.re.map((one) => one + noise()),
        im: read.s11.im.map((one) => one + noise()),
      };
      const findings = { ...sweepFindings(sound, { frequencyHz: f, s11, lossDb: read.lossDb }), ...meter };
      const ranked = rankCauses(findings).map(({ cause }) => cause.id as string);
      const place = ranked.indexOf(truth);
      if (place === 0) first++;
      else misses.set(`${truth} as ${ranked[0]}`, (misses.get(`${truth} as ${ranked[0]}`) ?? 0) + 1);
      if (place < 3) third++;
    }
    const score = `first ${first / 10} %, first three ${third / 10} %; ${JSON.stringify([...misses])}`;
    expect(first, score).toBeGreaterThanOrEqual(850);
    expect(third, score).toBeGreaterThanOrEqual(970);
  });
});
