import {
  delayOf,
  deviceOn,
  deviceScattering,
  loaded,
  trueVelocityFactor,
  catalog,
  entry,
} from '@kobran/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBench } from '../aBench.fixture.js';
import { interpreter } from '../scpi/instrument.js';
import { analyser } from './analyser.js';
import { c, polar, sub } from './complex.js';
import { behind, portError, seen, solved, standards, type Standard } from './errorBox.js';

const onBench = (over: object = {}): ((message: string) => Promise<string>) => {
  const answer = interpreter(analyser(() => aBench(over), 7));
  return async (message) => (await answer(message))?.toString('latin1') ?? '';
};
const values = (text: string): number[] => text.split(',').map(Number);
const SETUP = 'FREQ:STAR 10 MHZ;STOP 510 MHZ;:SWE:POIN 201';
const CALIBRATE =
  'CORR:COLL OPEN,1;COLL SHOR,1;COLL LOAD,1;COLL OPEN,2;COLL SHOR,2;COLL LOAD,2;COLL THR;COLL:SAVE';

/** Largest distance of the measured S11 from the true one. */
async function worst(ask: (message: string) => Promise<string>, over: object): Promise<number> {
  expect(await ask('INIT;*OPC?')).toBe('1');
  const shown = values(await ask('CALC:DATA? S11'));
  const f = Float64Array.from(values(await ask('FREQ:DATA?')));
  const device = deviceOn(aBench(over));
  const truly = loaded(deviceScattering(device, f), device.closed(f));
  return Math.max(...truly.re.map((re, k) => Math.hypot(re - shown[2 * k], truly.im[k] - shown[2 * k + 1])));
}

describe('error terms of a port', () => {
  const unit = fc.double({ min: 0, max: 1, noNaN: true });
  const complex = (most: number) =>
    fc.tuple(unit, unit).map(([size, turn]) => polar(size * most, turn * 2 * Math.PI));

  it('what was shown leads back to what was there', () =>
    void fc.assert(
      fc.property(complex(1), fc.integer({ min: 1, max: 999 }), unit, (truly, seed, share) => {
        const error = portError(seed, 0, 1e6 + share * 3e9);
        const back = behind(error, seen(error, truly));
        expect(Math.hypot(back.re - truly.re, back.im - truly.im)).toBeLessThan(1e-9);
      }),
    ));

  it('open, short and load give the terms back exactly when the standards are known', () =>
    void fc.assert(
      fc.property(fc.integer({ min: 1, max: 999 }), complex(0.05), complex(0.05), (seed, load, off) => {
        const error = portError(seed, 1, 145e6);
        const truly: Record<Standard, ReturnType<typeof c>> = {
          OPEN: sub(c(1), off),
          SHORT: c(-1),
          LOAD: load,
        };
        const shown = Object.fromEntries(
          standards.map((one) => [one, seen(error, truly[one])]),
        ) as typeof truly;
        const found = solved(shown, truly);
        for (const term of ['directivity', 'match', 'tracking'] as const) {
          expect(found[term].re).toBeCloseTo(error[term].re, 9);
          expect(found[term].im).toBeCloseTo(error[term].im, 9);
        }
      }),
    ));
});

describe('the analyser', () => {
  it('shows more of itself than of a good cable until it is calibrated', async () => {
    const ask = onBench();
    await ask(SETUP);
    const before = await worst(ask, {});
    await ask(CALIBRATE);
    const after = await worst(ask, {});
    // Directivity of an uncalibrated bridge is 25 to 30 dB; what is left is the load standard’s 42 dB and noise. Common practice, no source.
    expect(before).toBeGreaterThan(0.02);
    expect(after).toBeLessThan(0.012);
  });

  it('averages bring the noise down by their square root', async () => {
    const spread = async (averages: number): Promise<number> => {
      const ask = onBench();
      await ask(`${SETUP};:BAND 10E3;:AVER ${averages}`);
      const sweeps: number[][] = [];
      for (let k = 0; k < 2; k++) {
        await ask('INIT;*OPC?');
        sweeps.push(values(await ask('CALC:DATA? S11')));
      }
      return Math.sqrt(sweeps[0].reduce((sum, one, k) => sum + (one - sweeps[1][k]) ** 2, 0));
    };
    expect((await spread(1)) / (await spread(16))).toBeGreaterThan(3);
  });

  it('ASCII and binary give the same frequencies', async () => {
    const ask = onBench();
    await ask(SETUP);
    const ascii = values(await ask('FREQ:DATA?'));
    const raw = Buffer.from(await ask('FORM REAL,64;:FREQ:DATA?'), 'latin1');
    expect(raw.subarray(0, 6).toString()).toBe('#41608');
    expect(ascii.map((_, k) => raw.readDoubleBE(6 + 8 * k))).toEqual(ascii);
  });

  it('through two ports it finds the loss of the cable', async () => {
    const ask = onBench();
    await ask(`${SETUP};:SWE:PORT 2`);
    await ask(CALIBRATE);
    expect(await ask('INIT;*OPC?')).toBe('1');
    const [f, s21] = [
      Float64Array.from(values(await ask('FREQ:DATA?'))),
      values(await ask('CALC:DATA? S21')),
    ];
    const truly = deviceScattering(deviceOn(aBench()), f).s21;
    for (let k = 0; k < f.length; k++) {
      const lossDb = -20 * Math.log10(Math.hypot(s21[2 * k], s21[2 * k + 1]));
      expect(lossDb).toBeCloseTo(-20 * Math.log10(Math.hypot(truly.re[k], truly.im[k])), 1);
    }
    expect(await ask('SYST:ERR?')).toBe('0,"No error"');
  });

  it('asks for a new calibration when the sweep is another one', async () => {
    const ask = onBench();
    await ask(SETUP);
    await ask(CALIBRATE);
    await ask('FREQ:STOP 600 MHZ;:INIT');
    expect(await ask('SYST:ERR?')).toMatch(/^-221,.*calibrate again/);
    expect(await ask('CALC:DATA? S11')).toBe('');
    expect(await ask('SYST:ERR?')).toMatch(/^-230/);
  });
});

describe('the device', () => {
  it('resonates lower when it is longer: cutting it shorter changes what is read', () => {
    const [long, short] = [4, 3].map((cableM) => deviceOn(aBench({ cableM, far: 'open' })));
    expect(delayOf(long) / delayOf(short)).toBeGreaterThan(1.3);
  });

  it('has the velocity factor of its lot, within what lots differ by', () => {
    const sheet = entry(catalog.cables, 'rg213');
    const factors = ['Red reel', 'Blue reel', 'old drum', 'x', 'y', 'z'].map((lot) =>
      trueVelocityFactor(sheet, lot),
    );
    expect(new Set(factors).size).toBe(factors.length);
    // Handbook practice: ±1 to 2 % of the data sheet.
    for (const one of factors) expect(Math.abs(one / sheet.velocityFactor - 1)).toBeLessThan(0.015);
    expect(trueVelocityFactor(sheet, 'Red reel')).toBe(factors[0]);
  });

  it('wiggle and rain change what was hidden, and sound work shows nothing of them', () => {
    const f = Float64Array.of(145e6);
    const shown = (over: object): number => deviceScattering(deviceOn(aBench(over)), f).s11.re[0];
    expect(shown({ wiggled: true, rained: true })).toBe(shown({}));
    const causes = new Map<string, number[]>();
    for (let seed = 1; seed < 200; seed++) {
      const { cause } = deviceOn(aBench({ seed })).fault;
      causes.set(cause, [...(causes.get(cause) ?? []), seed]);
    }
    expect(causes.size).toBe(7);
    const [nut] = causes.get('loose nut') ?? [];
    expect(shown({ seed: nut, wiggled: true })).not.toBeCloseTo(shown({ seed: nut }), 3);
    const [wet] = causes.get('water') ?? [];
    expect(shown({ seed: wet, rained: true })).not.toBe(shown({ seed: wet }));
  });
});
