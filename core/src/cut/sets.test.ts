import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { parseElectrical, setSpread, type SetMember } from './index.js';
import { parseTolerance, setToleranceDeg, toleranceDegOf } from './index.js';

describe('an electrical length as people say it', () => {
  // A wave is 360°; at 100 MHz it lasts 10 ns.
  it.each([
    ['90', 90],
    ['90°', 90],
    ['1/4 wave', 90],
    ['λ/4', 90],
    ['0.25 λ', 90],
    ['3/4 wavelength', 270],
    ['2.5 ns', 90],
    ['2500 ps', 90],
    ['1,25 waves', 450],
  ])('%s is %d° at 100 MHz', (text, degrees) => {
    const read = parseElectrical(text, 100e6);
    expect(read.ok && read.value).toBeCloseTo(degrees, 9);
  });
  it.each(['', 'bananas', '1/0 wave', '-90', '0', '9e9 waves', '1e9 ns'])(
    '“%s” is refused with a remedy',
    (text) => {
      const read = parseElectrical(text, 100e6);
      expect(read.ok).toBe(false);
      expect(read.ok || read.problem.remedy).toBeTruthy();
    },
  );
});

describe('matched sets', () => {
  const member = (name: string, delayS: number, over: Partial<SetMember> = {}): SetMember => ({
    name,
    cable: entry(catalog.cables, 'rg213'),
    lot: 'Drum 7',
    delayS,
    sigmaS: 2e-12,
    ...over,
  });

  // 10 ps at 100 MHz: 360° · 1e8 · 1e-11 = 0.36°.
  it('spread in degrees and in time', () => {
    const { degrees, seconds, members, against } = setSpread(
      [member('a', 8e-9), member('b', 8.01e-9), member('c', 8.004e-9)],
      100e6,
      2,
    );
    expect(seconds * 1e12).toBeCloseTo(10, 6);
    expect(degrees).toBeCloseTo(0.36, 6);
    expect(members.reduce((sum, one) => sum + one.degrees, 0)).toBeCloseTo(0, 9);
    expect(against).toEqual([]);
  });

  it.each([
    [{ lot: 'Drum 8' }, /2 lots/],
    [{ lot: '' }, /lot of some is not known/],
    [{ cable: entry(catalog.cables, 'rg214') }, /not all of one cable/],
  ])('%# speaks against it', (over, why) =>
    expect(setSpread([member('a', 8e-9), member('b', 8e-9, over)], 1e8, 2).against.join()).toMatch(why),
  );

  // PTFE’s transition near 19 °C moves its phase by hundreds of ppm: common in the trade.
  it('PTFE comes with its temperature', () => {
    const rg316 = entry(catalog.cables, 'rg316');
    expect(
      setSpread(
        [member('a', 1e-9, { cable: rg316 }), member('b', 1e-9, { cable: rg316 })],
        1e9,
        2,
      ).notes.join(),
    ).toContain('19 °C');
    expect(setSpread([member('a', 1e-9), member('b', 1e-9)], 1e9, 2).notes.join()).not.toContain('19 °C');
  });
});

describe('how much may be left over', () => {
  const target = { frequencyHz: 100e6, degrees: 90 };
  // 1 mm of cable with velocity factor 2/3 is 5.003 ps, and 5 ps are 0.18 degrees at 100 MHz: first principles.
  it.each([
    [{ value: 3, unit: 'deg' as const }, 3],
    [{ value: 1, unit: 'mm' as const }, 0.1801],
    [{ value: 5, unit: 'ps' as const }, 0.18],
  ])('%j', (tolerance, degrees) => {
    expect(toleranceDegOf({ ...target, tolerance }, 2 / 3, false)).toBeCloseTo(degrees, 3);
    // Handbook: pieces of a set share it, a quarter each way.
    expect(toleranceDegOf({ ...target, tolerance }, 2 / 3, true)).toBeCloseTo(degrees / 4, 3);
    expect(setToleranceDeg({ ...target, tolerance }, 2 / 3)).toBeCloseTo(degrees, 3);
  });

  it.each([
    ['2°', 2, 'deg'],
    ['1,5', 1.5, 'deg'],
    ['3 mm', 3, 'mm'],
    ['10ps', 10, 'ps'],
  ])('%s is read', (text, value, unit) =>
    expect(parseTolerance(text)).toEqual({ ok: true, value: { value, unit } }),
  );
  it.each(['', 'much', '-1°', '2 km', '1 2'])('“%s” is refused', (text) =>
    expect(parseTolerance(text).ok).toBe(false),
  );
});
