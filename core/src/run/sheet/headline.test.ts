import { describe, expect, it } from 'vitest';
import { totalLossDb, reflectionFromSwr } from '../../line/index.js';
import { defaultPractice } from '../../practice/index.js';
import { catalog } from '../../catalog/index.js';
import { evaluate } from '../evaluate.js';
import { aRun, cable } from '../aRun.fixture.js';

const dipole = aRun({
  service: { bands: [{ name: '40 m', lowHz: 7.2e6, highHz: 7.2e6 }], powerW: 100, duty: 0.3, ambientC: 20 },
  antenna: { name: 'Dipole', face: 'n-jack', swr: 3, dcShort: false },
  pieces: [
    cable({ cable: 'c400', lengthM: 30, a: { part: 'n-plug-crimp-10mm' }, b: { part: 'n-plug-crimp-10mm' } }),
  ],
});
const sheet = (tuner?: boolean) =>
  evaluate(dipole, catalog, { facts: [], practice: { ...defaultPractice, ...(tuner ? { tuner } : {}) } });

describe('what a run with a mismatch loses, and where', () => {
  const { figures: f, headline, reason } = sheet();

  // Journey C of the handbook: 0.32 dB matched at 7.2 MHz, about 0.52 with SWR 3. The ARRL Antenna Book’s formula for the second.
  it('charges to the line what the line loses, and the mismatch to the match', () => {
    expect(f.lineLoss.value).toBeCloseTo(0.33, 1);
    expect(f.heatLoss.value).toBeCloseTo(totalLossDb(f.lineLoss.value, reflectionFromSwr(3)), 1);
    expect(f.loss.value).toBeCloseTo(f.heatLoss.value + f.turnedBack.value, 9);
    // 1 − Γ² of what the radio sees.
    const rho = reflectionFromSwr(f.swrAtRadio.value);
    expect(f.turnedBack.value).toBeCloseTo(-10 * Math.log10(1 - rho * rho), 6);
    expect(f.withTuner.value).toBeCloseTo(100 * 10 ** (-f.heatLoss.value / 10), 6);
  });

  it('says both powers, first that of the shop’s way of working', () => {
    const [bare, tuned] = [f.reaching, f.withTuner].map(({ value }) => value.toFixed(1));
    expect(headline).toMatch(new RegExp(`^${bare} W of 100 W reaches.*${tuned} W with a tuner`));
    expect(sheet(true).headline).toMatch(
      new RegExp(`^${tuned} W of 100 W reaches.*${bare} W without the tuner`),
    );
    expect(reason).toMatch(
      /^Loses 0\.3\d dB in the line, 0\.\d\d dB with the SWR on it .*; 1\.\d\d dB more is turned back/,
    );
  });
});
