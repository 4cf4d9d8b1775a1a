import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength, parseLength, parsePosition } from './index.js';

const metres = (text: string, unit?: 'm' | 'mm' | 'ft' | 'in'): number => {
  const read = parseLength(text, unit ? { unit } : {});
  if (!read.ok) throw new Error(`${text}: ${read.problem.message}`);
  return read.value;
};

// Source of the foot and inch: international yard and pound agreement of 1959, 1 in = 25.4 mm exactly.
describe('reading a length', () => {
  it.each([
    [`12' 6 1/2"`, 12 * 0.3048 + 6.5 * 0.0254],
    [`12’ 6½”`, 12 * 0.3048 + 6.5 * 0.0254],
    ['6 1/8 in', 0.155575],
    ['6-1/8 inches', 0.155575],
    ['3/8 in', 0.009525],
    ['3.82m', 3.82],
    ['3,82 m', 3.82],
    ['382 cm', 3.82],
    [' 3820mm ', 3.82],
    ['5 ft 3 in', 5 * 0.3048 + 3 * 0.0254],
    ['1 m 20 cm', 1.2],
    ['.5 m', 0.5],
    ['0.02 km', 20],
    ['1.234,5 m', 1234.5],
    ['1,234.5 m', 1234.5],
    ['1 234,5 m', 1234.5],
    [`1'234.5 m`, 1234.5],
    ['0,125 m', 0.125],
    ['1500.125 m', 1500.125],
    ['6 1/8 in', 0.155575],
  ])('%s', (text, expected) => {
    expect(metres(text)).toBeCloseTo(expected, 9);
  });

  it('takes a bare number in the unit of the field', () => {
    expect(metres('14', 'mm')).toBeCloseTo(0.014, 12);
    expect(parseLength('14')).toMatchObject({ ok: false, problem: { code: 'length.no-unit' } });
  });

  it.each([
    ['', 'length.empty', 'character 1'],
    ['long', 'length.not-a-number', 'character 1'],
    ['12 m long', 'length.not-a-number', 'character 6'],
    ['3 furlongs', 'length.unknown-unit', 'character 1'],
    ['-3 m', 'length.negative', 'character 1'],
    ['0 m', 'length.zero', 'character 1'],
    ['1.234.5 m', 'length.two-decimal-marks', 'character 1'],
    ['1,23,456 m', 'length.two-decimal-marks', 'character 1'],
    ['1,500 m', 'length.ambiguous', 'character 1'],
    ['10.000 ft', 'length.ambiguous', 'character 1'],
    ['1/0 in', 'length.zero-denominator', 'character 1'],
    [`6" 12'`, 'length.order', 'character 4'],
    ['1e9 m', 'length.too-long', 'character 1'],
    ['3 m 4', 'length.no-unit', 'character 5'],
    ['<script>alert(1)</script>', 'length.not-a-number', 'character 1'],
  ])('refuses %s and says where', (text, code, where) => {
    const read = parseLength(text);
    expect(read).toMatchObject({ ok: false, problem: { code, where } });
    if (!read.ok) expect(read.problem.remedy).not.toBe('');
  });

  it('never throws on junk', () => {
    fc.assert(fc.property(fc.string(), (text) => typeof parseLength(text, { unit: 'm' }).ok === 'boolean'));
  });
});

describe('writing a length', () => {
  it.each([
    [3.82, { system: 'metric' }, '3.82 m'],
    [0.031, { system: 'metric' }, '31.0 mm'],
    [3.8227, { system: 'imperial' }, `12' 6 1/2"`],
    [0.031, { system: 'imperial', fraction: 32, small: true }, '1 7/32 in'],
    [0.3048, { system: 'imperial' }, `1' 0"`],
    [1.5, { system: 'metric', small: true, digits: 0 }, '1500 mm'],
  ] as const)('%d m', (value, style, expected) => {
    expect(formatLength(value, style)).toBe(expected);
  });

  it('reads back what it writes, within half of the last digit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.11, max: 900, noNaN: true }),
        fc.constantFrom(16 as const, 32 as const),
        (value, fraction) => {
          expect(Math.abs(metres(formatLength(value, { system: 'metric' })) - value)).toBeLessThanOrEqual(
            0.00501,
          );
          const imperial = formatLength(value, { system: 'imperial', fraction });
          expect(Math.abs(metres(imperial) - value)).toBeLessThanOrEqual(0.0254 / fraction / 2 + 1e-9);
        },
      ),
    );
  });
});

// Arithmetic; the foot of 1959 is 0.3048 m.
describe('a place on either side of a mark', () => {
  it.each([
    ['-50 cm', -0.5],
    ['−2', -2],
    ['3', 3],
    ['-1\' 6"', -0.4572],
    ['-0', 0],
  ])('%s', (text, metres) => {
    const read = parsePosition(text, 'm');
    expect(read.ok && read.value).toBeCloseTo(metres, 12);
  });
  it.each(['', '-', '--1', '1-1', 'up'])('“%s” is none', (text) =>
    expect(parsePosition(text, 'm').ok).toBe(false),
  );
});
