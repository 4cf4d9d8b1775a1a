import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { parseResistance } from '../quantity/index.js';
import { cardExpectation, expectations, judge, type Expectation } from './index.js';

const rg58 = entry(catalog.cables, 'rg58');
const sheet = expectations(rg58, 10, [146e6]);
const named = (test: string): Expectation => {
  const found = sheet.find((e) => e.test === test);
  if (!found) throw new Error(test);
  return found;
};

describe('what the meter should show', () => {
  // Copper resistivity 1.724e-8 ohm·m (IEC 60028): 19 strands of 0.18 mm make 35.7 ohm/km; the data give 39 with lay and tinning.
  it('loop resistance is that of the copper, both conductors', () => {
    const strands = 1.724e-8 / (19 * Math.PI * (0.18e-3 / 2) ** 2);
    expect(rg58.innerOhmPerKm / 1000).toBeGreaterThan(strands);
    expect(rg58.innerOhmPerKm / 1000).toBeLessThan(strands * 1.2);
    expect(named('loop resistance').expected.value).toBeCloseTo((39 + 15) / 100, 9);
  });

  // Handbook tables, from memory: RG-58 loses about 2.0 dB in 10 m at 146 MHz.
  it('insertion loss is that of the tables', () =>
    expect(named('insertion loss').expected.value).toBeCloseTo(2.0, 0));
});

describe('a reading is judged in words', () => {
  it.each([
    ['loop resistance', 0.54, 'pass'],
    ['loop resistance', 0.85, 'pass'],
    ['loop resistance', 1.1, 'marginal'],
    ['loop resistance', 3, 'fail'],
    ['loop resistance', 0.01, 'fail'],
    ['loop resistance', Infinity, 'fail'],
    ['insulation', Infinity, 'pass'],
    ['insulation', 150e6, 'pass'],
    ['insulation', 20e6, 'marginal'],
    ['insulation', 2, 'fail'],
    ['insertion loss', 2.0, 'pass'],
    ['insertion loss', -2.0, 'pass'],
    ['insertion loss', 2.6, 'marginal'],
    ['insertion loss', 4, 'fail'],
    ['insertion loss', 0.5, 'fail'],
  ])('%s of %d: %s', (test, value, verdict) => {
    const judged = judge(named(test), value);
    expect(judged.verdict).toBe(verdict);
    expect(judged.why).not.toBe('');
  });

  // Handbook of the trade: a hand-held two-wire meter reads its leads; a good jumper that shows 0.2 ohm passes, and nothing tighter than 0.5 ohm is asked.
  it('a jumper reading 0.2 ohm passes; a four-wire meter is asked for more', () => {
    const [loop] = expectations(rg58, 0.5, []);
    expect(judge(loop, 0.2).verdict).toBe('pass');
    expect(loop.most).toBe(0.5);
    const [tighter] = expectations(rg58, 0.5, [], 'four-wire');
    expect(judge(tighter, 0.2).verdict).not.toBe('pass');
    expect(cardExpectation('continuity', rg58, 0.5).most).toBe(0.5);
  });

  // Handbook of the trade: insertion loss below about 0.5 dB cannot be judged with a hand-held analyser or a pair of meters.
  it('a loss too small to be judged is not failed', () => {
    const [, , loss] = expectations(rg58, 0.5, [146e6]);
    expect(loss.expected.value).toBeLessThan(0.2);
    for (const db of [0, 0.3, 0.49]) expect(judge(loss, db).verdict).toBe('pass');
    expect(judge(loss, 0.2).why).toContain('cannot be judged');
    expect(judge(loss, 2).verdict).toBe('fail');
  });

  it('“it beeps” is an answer, and so is silence', () => {
    const continuity = cardExpectation('continuity', rg58, 5);
    const insulation = cardExpectation('insulation', rg58, 5);
    const ohm = (text: string): number => {
      const read = parseResistance(text);
      return read.ok ? read.value : NaN;
    };
    expect(judge(continuity, ohm('it beeps')).verdict).toBe('pass');
    expect(judge(insulation, ohm('silent')).verdict).toBe('pass');
    expect(judge(insulation, ohm('beeps')).verdict).toBe('fail');
  });

  it('a short and an open loop are told apart', () => {
    expect(judge(named('loop resistance'), 0.01).why).toContain('short');
    expect(judge(named('loop resistance'), Infinity).why).toContain('pen');
  });
});
