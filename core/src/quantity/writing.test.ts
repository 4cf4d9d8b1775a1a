import { describe, expect, it } from 'vitest';
import { parseElectrical } from '../cut/index.js';
import { dieText } from '../make/index.js';
import {
  asSentence,
  figure,
  formatDecibels,
  formatFrequency,
  formatPower,
  formatSpread,
  lowerFirst,
  parseFrequency,
  parseLength,
  parseResistance,
} from './index.js';

const valueOf = (read: { ok: true; value: number } | { ok: false }): number => (read.ok ? read.value : NaN);

it('a question keeps its mark, everything else ends with a stop', () => {
  expect(asSentence('How long is the strap to the entry rod?')).toBe(
    'How long is the strap to the entry rod?',
  );
  expect(asSentence('The duct does not drain')).toBe('The duct does not drain.');
});

describe('how figures are written and read back', () => {
  // Channel rasters of the trade: 12.5 and 6.25 kHz, and calling frequencies above 1 GHz.
  it.each(['1.296138 GHz', '446.00625 MHz', '145.5 MHz', '10.368925 GHz', '5.37 MHz', '474.2 kHz'])(
    '%s keeps every place it has',
    (text) => expect(formatFrequency(valueOf(parseFrequency(text)))).toBe(text),
  );

  it('what was worked out is rounded, and never beyond its unit', () => {
    expect(formatFrequency(5263141593.3)).toBe('5.2631 GHz');
    expect(formatFrequency(999999999.7)).toBe('1 GHz');
    expect(formatPower(999.7)).toBe('1 kW');
    expect(formatPower(0.9999)).toBe('1 W');
    expect(formatDecibels(-0.001)).toBe('0.00 dB');
    expect(formatDecibels(-1.234)).toBe('-1.23 dB');
    expect(formatSpread(figure(0, 'm', 'typed', 0), 'metric')).toBe('');
  });

  // IEC 60062: a letter stands for the point.
  it.each([
    ['4R7', 4.7],
    ['1k5', 1500],
    ['2M2', 2.2e6],
    ['0R3', 0.3],
  ])('%s is %d ohm', (text, ohm) => expect(valueOf(parseResistance(text))).toBeCloseTo(ohm, 6));

  it('metres with three places are Kobran’s own, 1,500 is asked about everywhere', () => {
    expect(valueOf(parseLength('2.000 m'))).toBe(2);
    expect(valueOf(parseLength('1.250 m'))).toBe(1.25);
    expect(parseLength('1,250 m')).toMatchObject({ ok: false, problem: { code: 'length.ambiguous' } });
    expect(parseElectrical('1,500 ps', 145e6)).toMatchObject({
      ok: false,
      problem: { code: 'delay.ambiguous' },
    });
    expect(valueOf(parseElectrical('1500 ps', 100e6))).toBeCloseTo(54, 9);
  });

  // Marks on dies of the trade: .213, .255 and .429 in.
  it.each([
    [5.4, '.213'],
    [6.5, '.256'],
    [10.9, '.429'],
  ])('a die of %d mm says %s in too', (mm, inch) => expect(dieText(mm)).toContain(inch));

  it('a name within a sentence keeps its units', () => {
    expect(lowerFirst('Insertion loss at 145 MHz')).toBe('insertion loss at 145 MHz');
    expect(lowerFirst('SWR at the radio')).toBe('SWR at the radio');
  });
});
