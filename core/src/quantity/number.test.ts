import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  decimalMarkOf,
  parseCelsius,
  parseLength,
  parsePlainNumber,
  parsePower,
  settledMarks,
  type DecimalMark,
} from './index.js';

/**
 * How people write numbers: ISO 80000-1, 7.3.1 parts groups of three by a small space and takes comma or point before the decimals; commas or
 * points as thousands marks, and the apostrophe, are common practice in one country or another.
 */
const written = (thousands: number, { grouping, mark }: { grouping: string; mark: DecimalMark }): string => {
  const whole = String(Math.trunc(thousands / 1000)).replace(/\B(?=(\d{3})+$)/g, grouping);
  const decimals = String(thousands % 1000).padStart(3, '0');
  return decimals === '000' ? whole : `${whole}${mark}${decimals}`;
};
const conventions = [
  { grouping: ',', mark: '.' },
  { grouping: '.', mark: ',' },
  { grouping: '\u2009', mark: ',' },
  { grouping: '\u202f', mark: '.' },
  { grouping: '\u2019', mark: '.' },
  { grouping: '', mark: '.' },
  { grouping: '', mark: ',' },
] as const;

describe('a number with two readings', () => {
  it.each([
    ['1,500 W', ['1500 W', '1.5 W']],
    ['1.500 W', ['1500 W', '1.5 W']],
    ['1,250', ['1250', '1.25']],
    ['12.345 kW', ['12345 kW', '12.3450 kW']],
  ])('%s is asked about', (text, choices) => {
    const read = parsePower(text);
    expect(read).toMatchObject({ ok: false, problem: { code: 'power.ambiguous', choices } });
    // Neither answer is asked about again.
    for (const choice of choices)
      expect(parsePower(choice)).not.toMatchObject({ problem: { code: 'power.ambiguous' } });
  });

  it('1,500 W is 1500 W where the shop writes a point, 1.5 W where it writes a comma', () => {
    expect(parsePower(settledMarks('1,500 W', '.'))).toEqual({ ok: true, value: 1500 });
    expect(parsePower(settledMarks('1,500 W', ','))).toEqual({ ok: true, value: 1.5 });
  });

  it('is asked about in feet and inches too, and only the number in doubt is changed', () => {
    const read = parseLength(`1,200' 6 1/2"`);
    expect(read).toMatchObject({ ok: false, problem: { choices: [`1200' 6 1/2"`, `1.2' 6 1/2"`] } });
  });

  it('asks for nothing where it has one reading', () => {
    for (const text of ['0,125', '1500.125', '1,5', '1,2345', '1,234,567', '1 500', '1,234.5'])
      expect(parsePlainNumber(text, 'number').ok, text).toBe(true);
    expect(parseCelsius('-10,5 °C')).toEqual({ ok: true, value: -10.5 });
  });

  // Laws over all conventions: with the shop's mark it is the number meant; without it that or a question, and never another number.
  it.each(conventions)('written with “$grouping” and “$mark” is never read as another', (convention) => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5_000_000 }), (thousandths) => {
        const text = written(thousandths, convention);
        expect(parsePlainNumber(settledMarks(text, convention.mark), 'number')).toEqual({
          ok: true,
          value: expect.closeTo(thousandths / 1000, 9) as number,
        });
        const asked = parsePlainNumber(text, 'number');
        if (asked.ok) expect(asked.value).toBeCloseTo(thousandths / 1000, 9);
        else expect(asked.problem.choices).toHaveLength(2);
      }),
      { numRuns: 300 },
    );
  });
});

describe('whose numbers these are', () => {
  it.each([
    [['1,500', '0,85'], ','],
    [['1.500', '12.5', 'N plug'], '.'],
    [['1.500', '2,250'], undefined],
    [['0,85', '12.5'], undefined],
    [['.125'], '.'],
    [[], undefined],
  ])('%j', (numbers, mark) => expect(decimalMarkOf(numbers)).toBe(mark));
});
