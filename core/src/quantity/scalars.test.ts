import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  figure,
  formatDecibels,
  formatFigure,
  formatFrequency,
  formatPower,
  formatResistance,
  formatSpeed,
  formatSpread,
  parseCelsius,
  parseDecibels,
  parseDegrees,
  parseFrequency,
  parsePower,
  parseResistance,
  parseSpeed,
  settledMarks,
} from './index.js';
import type { Result } from './index.js';

const value = (read: Result<number>): number => {
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};
const code = (read: Result<number>): string => (read.ok ? 'read' : read.problem.code);

// By the international mile (1609.344 m) and nautical mile (1852 m).
describe('speed of wind', () => {
  it.each([
    ['30 m/s', 'metric', 30],
    ['108 km/h', 'metric', 30],
    ['60kn', 'metric', 30.867],
    ['70', 'imperial', 31.293],
  ] as const)('%s', (text, system, metresPerSecond) =>
    expect(value(parseSpeed(text, system))).toBeCloseTo(metresPerSecond, 3),
  );
  it('what is no wind is refused', () => {
    expect(code(parseSpeed('200 m/s', 'metric'))).toBe('speed.too-large');
    expect(code(parseSpeed('-3', 'metric'))).toBe('speed.negative');
  });
  it('is said in the shop’s units', () =>
    expect([formatSpeed(30, 'metric'), formatSpeed(31.293, 'imperial')]).toEqual(['30 m/s', '70 mph']));
});

describe('frequency', () => {
  it.each([
    ['150.8MHz', 150.8e6],
    ['5,37 MHz', 5.37e6],
    ['2.4 GHz', 2.4e9],
    ['7 000 kHz', 7e6],
    // A channel as it is written: the other reading is beyond any radio.
    ['145.500 MHz', 145.5e6],
    ['433,920', 433.92e6],
    // Channels are written with a point and three digits (common practice, no source).
    ['39.557 MHz', 39.557e6],
    ['7.100', 7.1e6],
    ['137', 137e6],
    ['455 kHz', 455e3],
  ])('%s', (text, hertz) => {
    expect(value(parseFrequency(text))).toBeCloseTo(hertz, 3);
  });

  it.each([
    ['0 MHz', 'frequency.zero'],
    ['-7 MHz', 'frequency.negative'],
    ['9 THz', 'frequency.unknown-unit'],
    ['900 GHz', 'frequency.too-large'],
    ['7 MHz 8 MHz', 'frequency.two-numbers'],
    ['10,368 MHz', 'frequency.ambiguous'],
  ])('refuses %s', (text, expected) => expect(code(parseFrequency(text))).toBe(expected));

  it('reads back what it writes to 1 kHz', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 999_000 }), (kilohertz) => {
        const written = settledMarks(formatFrequency(kilohertz * 1e3), '.');
        expect(value(parseFrequency(written))).toBeCloseTo(kilohertz * 1e3, 0);
      }),
    );
  });
});

// 0 dBm = 1 mW: definition of the unit (ITU-R V.574).
describe('power', () => {
  it.each([
    ['10 W', 10],
    ['40 dBm', 10],
    ['40dBm', 10],
    ['0 dBm', 0.001],
    ['500 mW', 0.5],
    ['1,5 kW', 1500],
    ['25', 25],
  ])('%s', (text, watts) => expect(value(parsePower(text))).toBeCloseTo(watts, 9));

  it.each([
    ['-10 W', 'power.negative'],
    ['0 W', 'power.zero'],
    ['200 dBm', 'power.too-large'],
    ['1 MW', 'power.too-large'],
    ['5 mw', 'read'],
    ['ten', 'power.not-a-number'],
  ])('judges %s', (text, expected) => expect(code(parsePower(text))).toBe(expected));

  it('a meter may show nothing', () => {
    expect(value(parsePower('0', { allowZero: true }))).toBe(0);
    expect(code(parsePower('-1', { allowZero: true }))).toBe('power.negative');
    expect(formatPower(0)).toBe('0 W');
  });

  it('writes three figures', () => {
    expect(formatPower(6.4239)).toBe('6.42 W');
    expect(formatPower(0.3271)).toBe('327 mW');
    expect(formatPower(1500)).toBe('1.5 kW');
  });
});

describe('a meter’s reading', () => {
  it.each([
    ['0.3', 0.3],
    ['0,3 Ω', 0.3],
    ['300 mohm', 0.3],
    ['1.2k', 1200],
    ['>200 Mohm', 200e6],
    ['OL', Infinity],
    ['open', Infinity],
    ['0', 0],
  ])('%s', (text, ohm) => expect(value(parseResistance(text))).toBe(ohm));

  it('keeps m and M apart', () => {
    expect(value(parseResistance('200 Mohm')) / value(parseResistance('200 mohm'))).toBeCloseTo(1e9, 0);
  });

  it('decibels of either sign', () => {
    expect(value(parseDecibels('-1,8 dB'))).toBe(-1.8);
    expect(code(parseDecibels('1.8 V'))).toBe('level.unknown-unit');
    expect(code(parseDecibels('900'))).toBe('level.too-large');
    expect(formatDecibels(1.934)).toBe('1.93 dB');
  });

  it('prints back what a meter shows', () => {
    expect([0.312, 47, 1500, 2e6, Infinity, 0.04].map(formatResistance)).toEqual([
      '0.312 Ω',
      '47 Ω',
      '1.5 kΩ',
      '2 MΩ',
      'open',
      '40 mΩ',
    ]);
  });
});

describe('electrical length', () => {
  it.each([
    ['90', 90],
    ['450°', 450],
    ['0,25 wave', 90],
  ])('%s', (text, degrees) => expect(value(parseDegrees(text))).toBe(degrees));
  it('of nothing is refused', () => expect(code(parseDegrees('0'))).toBe('angle.zero'));
});

describe('a figure', () => {
  it('is written in the units of the shop, with its spread', () => {
    const length = figure(24.2, 'm', 'sum of legs', 0.1);
    expect(formatFigure(length, 'metric')).toBe('24.20 m');
    expect(formatFigure(length, 'imperial')).toBe(`79' 4 3/4"`);
    expect(formatSpread(length, 'metric')).toBe('± 0.10 m');
    expect(formatFigure(figure(0.031, 'mm', 'gauge'), 'metric')).toBe('31 mm');
  });
});

// 95 °F is 35 °C, by the definition of the scales.
describe('temperatures', () => {
  it.each([
    ['35', 35],
    ['35 °C', 35],
    ['-10C', -10],
    ['95 F', 35],
    ['21,5 °C', 21.5],
  ])('%s', (text, celsius) => {
    const read = parseCelsius(text);
    expect(read.ok && read.value).toBeCloseTo(celsius, 9);
  });
  it.each(['', 'warm', '35 K', '400', '-90 °C', '1 2'])('“%s” is refused with a remedy', (text) => {
    const read = parseCelsius(text);
    expect(read.ok ? '' : read.problem.remedy).not.toBe('');
    expect(read.ok).toBe(false);
  });
});
