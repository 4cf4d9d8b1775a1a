import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { matchedLossDb } from '../../line/index.js';
import { driftOf, echoOf, echoPeaks, judgeSweep, lossFromReflection, magnitudes } from '../../prove/index.js';
import { aRun, anOutdoorRun, cable, sheetOf } from '../aRun.fixture.js';
import { judgeEcho, placeOf, predictSweep, type LineFault } from '../index.js';
import { returnLossDb } from '../../line/index.js';

const f = Float64Array.from({ length: 401 }, (_, k) => 1e6 + k * 1.25e6);
const rg213 = catalog.cables.get('rg213');
if (!rg213) throw new Error('no rg213');
const decibels = (of: { re: Float64Array; im: Float64Array }): Float64Array =>
  magnitudes(of).map(returnLossDb);

describe('what a sweep should show', () => {
  it('is the sweep of the sheet, which is computed another way', () => {
    const design = anOutdoorRun();
    const { frequencyHz, returnLossDb: wanted } = sheetOf(design).sweep;
    const { s11 } = predictSweep(design, catalog, '', 'antenna', frequencyHz);
    const found = decibels(s11);
    for (let k = 0; k < frequencyHz.length; k += 40) expect(found[k]).toBeCloseTo(wanted[k], 6);
  });

  it('with its end open twice the matched loss is missing; half of it is the loss one way', () => {
    const { s11, lossDb } = predictSweep(aRun(), catalog, 'main', 'open', f);
    const read = lossFromReflection(decibels(s11), 31);
    for (const k of [100, 200, 300]) {
      expect(read[k]).toBeCloseTo(matchedLossDb(rg213, f[k], 12.5), 1);
      expect(read[k]).toBeCloseTo(lossDb[k], 1);
    }
  });

  it('a joint has its number, a place between two joints is said as such', () => {
    const swept = predictSweep(anOutdoorRun(), catalog, '', 'load', f);
    expect(placeOf(swept, 0, 0.2)).toMatch(/^J1, radio to/);
    expect(placeOf(swept, 7, 0.2)).toBe('in the cable between J3 and J4');
    expect(placeOf(swept, swept.totalM + 3, 0.2)).toBe('beyond J4');
  });

  // Solid polyethylene is made within 1.5 % of its velocity factor (handbook of the trade, from memory).
  it('an echo’s place holds the truth when the cable is as far off as its kind may be', () => {
    for (const off of [0.985, 1.015]) {
      const made = { ...rg213, velocityFactor: rg213.velocityFactor * off };
      const asMade = { ...catalog, cables: new Map([...catalog.cables, ['rg213', made]]) };
      const { s11 } = predictSweep(aRun(), asMade, 'main', 'open', f);
      const nominal = predictSweep(aRun(), catalog, 'main', 'open', f);
      const judged = judgeEcho(nominal, { s11, frequencyHz: f });
      if (!judged.ok) throw new Error(judged.problem.message);
      const [end] = judged.value.peaks;
      const error = Math.abs(end.distanceM - nominal.totalM);
      expect(error).toBeGreaterThan(0.01 * nominal.totalM);
      expect(error).toBeLessThan(end.toleranceM);
    }
  });

  it('an assembly which is not there is a mistake of the program', () =>
    expect(() => predictSweep(aRun(), catalog, 'nowhere', 'load', f)).toThrow('nowhere'));
});

describe('faults on the line', () => {
  const echoWith = (...faults: LineFault[]) => {
    const swept = predictSweep(aRun(), catalog, '', 'load', f, faults);
    const echo = echoOf(swept.s11, f);
    if (!echo.ok) throw new Error(echo.problem.message);
    return echoPeaks(echo.value, swept.ruler, 34);
  };

  it('a crushed spot comes back from where it is', () => {
    const [worst] = echoWith({ kind: 'crush', atM: 7.3, lengthM: 0.04, ohm: 28 });
    expect(worst.distanceM).toBeCloseTo(7.32, 1);
    expect(echoWith()).toEqual([]);
  });

  // A resistance R in a line of Z0 reflects R / (R + 2 Z0); Pozar, Microwave Engineering.
  it('a bad contact of 20 ohm returns 20/120', () => {
    const [worst] = echoWith({ kind: 'bad contact', atM: 5, ohm: 20 });
    expect(worst.returnLossDb).toBeCloseTo(-20 * Math.log10(20 / 120), 0);
  });

  it('water adds loss which rises with frequency, and only where it is', () => {
    const dry = predictSweep(aRun(), catalog, '', 'load', f);
    const wet = predictSweep(aRun(), catalog, '', 'load', f, [
      { kind: 'wet', fromM: 4, toM: 8, addedK2: 0.1 },
    ]);
    for (const k of [50, 200, 400])
      // Of the ruler a few millimetres at each end are connector, not cable.
      expect((wet.lossDb[k] - dry.lossDb[k]) / ((0.1 * (f[k] / 1e6) * 4) / 100)).toBeCloseTo(1, 1.9);
  });

  it('beyond the end nothing happens', () => {
    const there = { kind: 'crush', atM: 99, lengthM: 0.1, ohm: 20 } as const;
    const spoilt = predictSweep(aRun(), catalog, '', 'load', f, [there]);
    expect(spoilt).toEqual(predictSweep(aRun(), catalog, '', 'load', f));
  });
});

describe('a sweep is judged', () => {
  const judged = (
    faults: LineFault[],
    over: { loss?: boolean; bands?: { lowHz: number; highHz: number }[] } = {},
  ) => {
    const { bands } = aRun().service;
    const sound = predictSweep(aRun(), catalog, '', 'load', f);
    const read = predictSweep(aRun(), catalog, '', 'load', f, faults);
    return judgeSweep({
      frequencyHz: f,
      returnLossDb: decibels(read.s11),
      predictedReturnLossDb: decibels(sound.s11),
      ...(over.loss === false ? {} : { lossDb: read.lossDb }),
      predictedLossDb: sound.lossDb,
      bands: over.bands ?? bands,
      intoLoad: true,
    }).map(({ what, verdict }) => `${what} ${verdict}`);
  };

  it('a sound run passes in both', () => expect(judged([])).toEqual(['Return loss pass', 'Loss pass']));
  it('SWR alone never passes a cable', () =>
    expect(judged([], { loss: false })).toEqual(['Return loss pass', 'Loss marginal']));
  it('a wet cable fails by its loss while its return loss looks fine', () =>
    expect(judged([{ kind: 'wet', fromM: 0, toM: 12, addedK2: 0.08 }])).toEqual([
      'Return loss pass',
      'Loss fail',
    ]));
  it('a crushed spot fails by its return loss', () =>
    expect(judged([{ kind: 'crush', atM: 6, lengthM: 0.15, ohm: 15 }])[0]).toBe('Return loss fail'));
  it('a sweep beside the bands says so', () =>
    expect(judged([], { bands: [{ lowHz: 5.7e9, highHz: 5.8e9 }] })).toEqual(['Bands fail']));
});

describe('drift since birth', () => {
  const birth = predictSweep(aRun(), catalog, '', 'load', f);
  const later = (faults: LineFault[], rained = false) =>
    driftOf(
      { frequencyHz: f, lossDb: birth.lossDb },
      { frequencyHz: f, lossDb: predictSweep(aRun(), catalog, '', 'load', f, faults).lossDb },
      rained,
    );
  it('none is none', () => expect(later([]).verdict).toBe('pass'));
  // Handbook practice: water’s loss rises with frequency and after rain; a contact’s does not.
  it('water rises with frequency', () => {
    const { verdict, why } = later([{ kind: 'wet', fromM: 0, toM: 12, addedK2: 0.05 }], true);
    expect(verdict).toBe('fail');
    expect(why).toContain('after rain, as water');
  });
  it('a contact is alike at all frequencies', () => {
    const { verdict, why } = later([{ kind: 'bad contact', atM: 6, ohm: 5 }]);
    expect(verdict).toBe('marginal');
    expect(why).toContain('not water');
  });
  it('sweeps without a shared frequency cannot be compared', () =>
    expect(
      driftOf(
        { frequencyHz: f.map((hz) => hz + 2e9), lossDb: birth.lossDb },
        { frequencyHz: f, lossDb: birth.lossDb },
        false,
      ).why,
    ).toContain('no frequency in common'));
  it('cable that was replaced by another is not said to be as it was', () => {
    const thin = predictSweep(
      aRun({
        pieces: [cable({ cable: 'rg58', a: { part: 'n-plug-crimp-5mm' }, b: { part: 'n-plug-crimp-5mm' } })],
      }),
      catalog,
      '',
      'load',
      f,
    );
    expect(
      driftOf({ frequencyHz: f, lossDb: birth.lossDb }, { frequencyHz: f, lossDb: thin.lossDb }, false)
        .verdict,
    ).toBe('fail');
  });
});
