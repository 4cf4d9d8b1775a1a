import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog, entry, type Cable } from '../../catalog/index.js';
import { SPEED_OF_LIGHT, type Load } from '../../line/index.js';
import {
  isWorthMatching,
  chokingBand,
  chokingOhm,
  choke,
  chooseChoke,
  degreesOfDelay,
  delayLine,
  halfWaveBalun,
  quarterWave,
  seriesSections,
  simulate,
  stubMatches,
  stubReactance,
  trapStub,
  type MatchDevice,
} from './index.js';

/** Without losses the textbook’s figures come out to the last digit. */
const lossless = (id: string, ohm?: number): Cable => {
  const cable = entry(catalog.cables, id);
  return {
    ...cable,
    k1: 0,
    k2: 0,
    innerOhmPerKm: 0,
    outerOhmPerKm: 0,
    impedanceOhm: ohm ?? cable.impedanceOhm,
  };
};
const [rg213, rg59, rg11] = ['rg213', 'rg59', 'rg11'].map((id) => lossless(id));
const F = 14.2e6;
const constant = (re: number, im = 0): Load => ({ kind: 'constant', re, im });
const swrAt = (device: MatchDevice, load: Load, hz = device.frequencyHz): number =>
  simulate(device, [], load, Float64Array.of(hz), 50, 1.5).swrWith[0];

describe('quarter-wave transformers', () => {
  // Z = √(Z1 Z2): 50 to 100 ohm wants 70.7, 75 ohm cable makes 56.25, SWR 1.125. Pozar, Microwave Engineering.
  it('50 to 100 ohm wants 70.7; with 75 ohm cable 56 ohm is seen', () => {
    const made = quarterWave({ re: 100, im: 0 }, F, 50, rg213, [rg213, rg11]);
    expect(made.wantedOhm).toBeCloseTo(70.71, 2);
    expect(made.seenOhm).toBeCloseTo(56.25, 9);
    expect(made.pieces).toHaveLength(1);
    expect(swrAt(made, constant(100))).toBeCloseTo(1.125, 6);
    // λ/4 in cable: VF c / 4 f.
    expect(made.pieces[0].lengthM).toBeCloseTo((rg11.velocityFactor * SPEED_OF_LIGHT) / (4 * F), 9);
  });

  it('any load with reactance is made real first, and a section of the very impedance matches it', () =>
    void fc.assert(
      fc.property(
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: -300, max: 300, noNaN: true }),
        (re, im) => {
          const { wantedOhm } = quarterWave({ re, im }, F, 50, rg213, [rg11]);
          const made = quarterWave({ re, im }, F, 50, rg213, [lossless('rg11', wantedOhm)]);
          // A turn of less than a degree is no piece to cut; at 10:1 tan 1° leaves a tenth of the reactance: SWR 1.2.
          expect(swrAt(made, constant(re, im))).toBeLessThan(made.pieces.length > 1 ? 1.005 : 1.2);
          for (const { degrees } of made.pieces) expect(degrees).toBeLessThanOrEqual(90.001);
        },
      ),
    ));
});

// By arithmetic: a 75 ohm quarter wave before 75 ohm shows 75 ohm again, SWR 1.5 as before; 50 ohm wants nothing.
describe('what is worth matching', () => {
  it.each([
    [1.5, 1.5, false],
    [1.05, 1.01, false],
    [2, 1.1, true],
    [1.5, 1.1, true],
    [1.5, 2.4, false],
  ])('SWR %d made %d: %s', (without, made, worth) => expect(isWorthMatching(without, made)).toBe(worth));
});

describe('stubs', () => {
  // X = Z0 tan βl shorted, −Z0 cot βl open: Pozar. An eighth of a wave is ± Z0, a quarter is open or short.
  it.each([
    [45, 'shorted', 50],
    [45, 'open', -50],
    [135, 'shorted', -50],
    [30, 'shorted', 50 / Math.sqrt(3)],
  ] as const)('%d° %s: %d ohm', (degrees, far, ohm) =>
    expect(stubReactance(50, degrees, far)).toBeCloseTo(ohm, 9),
  );

  // Pozar, Microwave Engineering, example of single-stub shunt tuning: ZL = 60 − j80 on 50 ohm, shorted stubs; d = 0.110 λ with l = 0.095 λ, and d = 0.260 λ with l = 0.405 λ (from memory).
  it('60 − j80 ohm on 50 ohm: the two places of the textbook', () => {
    const found = stubMatches({ re: 60, im: -80 }, F, rg213, rg213, 'shorted').map(({ pieces }) =>
      pieces.map(({ degrees }) => degrees / 360),
    );
    expect(found[0][1]).toBeCloseTo(0.11, 2);
    expect(found[0][0]).toBeCloseTo(0.095, 2);
    expect(found[1][1]).toBeCloseTo(0.26, 2);
    expect(found[1][0]).toBeCloseTo(0.405, 2);
  });

  it('every load is matched by both places, open or shorted', () =>
    void fc.assert(
      fc.property(
        fc.double({ min: 4, max: 500, noNaN: true }),
        fc.double({ min: -300, max: 300, noNaN: true }),
        fc.constantFrom('open' as const, 'shorted' as const),
        (re, im, far) => {
          fc.pre(Math.hypot(re - 50, im) > 2);
          for (const made of stubMatches({ re, im }, F, rg213, rg59, far))
            expect(swrAt(made, constant(re, im))).toBeLessThan(1.001);
        },
      ),
    ));

  it('a notch stub shorts its own frequency', () => {
    const made = trapStub(28.4e6, 14.2e6, rg213);
    expect(swrAt(made, constant(50), 28.4e6)).toBeGreaterThan(1e5);
  });
});

describe('series sections', () => {
  it('both solutions match every load the section’s impedance can, and none is offered otherwise', () =>
    void fc.assert(
      fc.property(
        fc.double({ min: 10, max: 200, noNaN: true }),
        fc.double({ min: -100, max: 100, noNaN: true }),
        (re, im) => {
          for (const made of seriesSections({ re, im }, F, rg213, lossless('rg11', 93)))
            expect(swrAt(made, constant(re, im))).toBeLessThan(1.001);
        },
      ),
    ));

  // Regier: with n = 1.5 loads up to SWR n² = 2.25 can be matched.
  it('75 ohm in 50 ohm reaches an SWR of 2.25 and no more', () => {
    expect(seriesSections({ re: 110, im: 0 }, F, rg213, rg11)).toHaveLength(2);
    expect(seriesSections({ re: 114, im: 0 }, F, rg213, rg11)).toHaveLength(0);
  });
});

describe('half-wave balun', () => {
  // 4 to 1: 200 ohm balanced is 50 ohm at the line; 300 ohm is 75 (The ARRL Antenna Book).
  it.each([
    [200, 1],
    [300, 1.5],
    [100, 2],
  ])('%d ohm balanced is SWR %d on 50 ohm', (ohm, swr) =>
    expect(swrAt(halfWaveBalun(144e6, rg59), constant(ohm))).toBeCloseTo(swr, 6),
  );
  it('is VF·λ/2 long and works over a band that has two edges', () => {
    const made = halfWaveBalun(145e6, rg213);
    expect(made.pieces[0].lengthM).toBeCloseTo((rg213.velocityFactor * SPEED_OF_LIGHT) / (2 * 145e6), 9);
    const f = Float64Array.from({ length: 401 }, (_, k) => 100e6 + k * 225e3);
    const { band } = simulate(made, [], constant(200), f, 50, 1.5);
    expect(band?.lowHz).toBeLessThan(145e6);
    expect(band?.highHz).toBeGreaterThan(145e6);
  });
});

describe('delay lines', () => {
  it('a nanosecond is 360 f degrees, and the length is VF c t', () => {
    const degrees = degreesOfDelay(5e-9, 100e6);
    expect(degrees).toBeCloseTo(180, 9);
    expect(delayLine(degrees, 100e6, rg213).pieces[0].lengthM).toBeCloseTo(0.66 * SPEED_OF_LIGHT * 5e-9, 6);
  });
});

describe('chokes', () => {
  // Wheeler: 10 turns, 1 in radius, 2 in long: 100/(9 + 20) = 3.45 µH.
  it('Wheeler’s inductance', () => {
    const cable = { ...rg213, jacketMm: 5.08 };
    const made = choke(cable, 10, 0.0508);
    expect(made.coilM).toBeCloseTo(0.0508, 9);
    expect(made.henry * 1e6).toBeCloseTo(100 / 29, 2);
  });

  // Common practice, no source: 6 to 8 turns of 10 mm cable on 100 to 130 mm are wound for 14 to 30 MHz.
  it('a few turns of 10 mm cable choke the upper HF bands', () => {
    const made = choke(entry(catalog.cables, 'rg213'), 7, 0.115);
    expect(made.resonanceHz).toBeGreaterThan(12e6);
    expect(made.resonanceHz).toBeLessThan(50e6);
    expect(chokingOhm(made, made.resonanceHz)).toBeGreaterThan(5e3);
    // Handbook of the trade, 11: real coils give a few to 20 kohm at resonance at most.
    expect(chokingOhm(made, made.resonanceHz)).toBeLessThan(20e3);
    const band = chokingBand(made, 1000);
    expect(band?.lowHz).toBeLessThan(made.resonanceHz);
    expect(chokingOhm(made, (band?.lowHz ?? 0) * 1.02)).toBeGreaterThan(1000);
    expect(chokingOhm(made, (band?.lowHz ?? 0) * 0.98)).toBeLessThan(1000);
  });

  it('is never wound tighter than the cable bears, and the least cable is taken', () => {
    const cable = entry(catalog.cables, 'rg213');
    const sizes = [0.06, 0.1, 0.12, 0.16, 0.2];
    const made = chooseChoke(cable, 21e6, 30e6, 1000, sizes);
    expect(made?.tooTight).toBe(false);
    for (const hz of [21e6, 25e6, 30e6])
      expect(chokingOhm(made ?? choke(cable, 1, 0.1), hz)).toBeGreaterThanOrEqual(1000);
    expect(chooseChoke(cable, 1e6, 400e6, 1000, sizes)).toBeUndefined();
  });
});

describe('in place', () => {
  it('a run’s own loss hides a mismatch at the radio; the device’s band is its own', () => {
    const lossy = { ...entry(catalog.cables, 'rg58') };
    const made = quarterWave({ re: 112.5, im: 0 }, 145e6, 50, rg213, [rg11]);
    const f = Float64Array.from({ length: 201 }, (_, k) => 100e6 + k * 450e3);
    const before = [
      { kind: 'line' as const, z0Ohm: 50, velocityFactor: 0.66, lengthM: 40, k1: lossy.k1, k2: lossy.k2 },
    ];
    const inRun = simulate(made, before, constant(112.5), f, 50, 1.5);
    const alone = simulate(made, [], constant(112.5), f, 50, 1.5);
    expect(inRun.band).toEqual(alone.band);
    expect(Math.max(...inRun.swrWith)).toBeLessThan(Math.max(...alone.swrWith));
    expect(inRun.lossWithDb[100]).toBeLessThan(inRun.lossWithoutDb[100]);
  });
});
