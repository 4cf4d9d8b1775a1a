import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { parseElectrical, setSpread, type SetMember } from './index.js';

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
    expect(setSpread([member('a', 8e-9), member('b', 8e-9, over)], 1e8).against.join()).toMatch(why),
  );

  // PTFE’s transition near 19 °C moves its phase by hundreds of ppm: common in the trade.
  it('PTFE comes with its temperature', () => {
    const rg316 = entry(catalog.cables, 'rg316');
    expect(
      setSpread([member('a', 1e-9, { cable: rg316 }), member('b', 1e-9, { cable: rg316 })], 1e9).notes.join(),
    ).toContain('19 °C');
    expect(setSpread([member('a', 1e-9), member('b', 1e-9)], 1e9).notes.join()).not.toContain('19 °C');
  });
});
