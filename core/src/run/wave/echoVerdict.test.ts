import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { anOutdoorRun } from '../aRun.fixture.js';
import { judgeEcho } from './echoVerdict.js';
import type { LineFault } from './faults.js';
import { sweepFindings } from './findings.js';
import { predictSweep } from './predict.js';

const f = Float64Array.from({ length: 801 }, (_, k) => 1e6 + k * 1e6);
const design = anOutdoorRun();
const sound = predictSweep(design, catalog, '', 'load', f);
const sweptWith = (...faults: LineFault[]) => {
  const { s11 } = predictSweep(design, catalog, '', 'load', f, faults);
  return { s11, frequencyHz: f };
};
const peaksOf = (...faults: LineFault[]) => {
  const judged = judgeEcho(sound, sweptWith(...faults));
  if (!judged.ok) throw new Error(judged.problem.message);
  return judged.value.peaks;
};

describe('one judge of an echo', () => {
  it('a sound run returns nothing but what was computed', () =>
    expect(peaksOf().filter(({ unexpected }) => unexpected)).toEqual([]));

  it('a crush is found at its place and named between its joints', () => {
    const [worst] = peaksOf({ kind: 'crush', atM: 7, lengthM: 0.05, ohm: 25 }).filter(
      ({ unexpected }) => unexpected,
    );
    expect(worst.distanceM).toBeCloseTo(7, 0);
    expect(worst.at).toBeUndefined();
    expect(worst.name).toMatch(/^in the cable between J\d and J\d$/);
  });

  // The screen and the causes once had limits of their own, 34 and 40 dB: a fault between them was told to one of them only.
  it('what the screen shows and what the causes are told agree, from faint faults to strong ones', () => {
    for (const ohm of [49, 47, 45, 42, 38, 30, 20]) {
      const measured = sweptWith({ kind: 'crush', atM: 7, lengthM: 0.03, ohm });
      const judged = judgeEcho(sound, measured);
      const shown = judged.ok && judged.value.peaks.some(({ unexpected }) => unexpected);
      expect(sweepFindings(sound, measured).echo === 'none', `${ohm} ohm`).toBe(!shown);
    }
  });

  it('a sweep too narrow for an echo is said, not judged', () => {
    const few = f.subarray(0, 2);
    const { s11 } = predictSweep(design, catalog, '', 'load', few);
    const narrow = { ...sound, s11 };
    const judged = judgeEcho(narrow, { s11, frequencyHz: few });
    if (judged.ok) expect(judged.value.cellM).toBeGreaterThan(sound.totalM);
    else expect(judged.problem.remedy).not.toBe('');
  });
});
