import { describe, expect, it } from 'vitest';
import { externalNoise, groundShare, noisePenaltyDb, seenK, skyK } from './index.js';

describe('noise of a receive run', () => {
  // ITU-R P.372, from memory: galactic noise about 29 dB at 10 MHz and 0.7 dB... rural man-made 39.5 dB at 10 MHz; at 137 MHz about 9 dB.
  it('external noise falls from HF to UHF', () => {
    expect(10 * Math.log10(externalNoise(10e6))).toBeCloseTo(39.9, 0);
    expect(10 * Math.log10(externalNoise(137e6))).toBeGreaterThan(5);
    expect(10 * Math.log10(externalNoise(137e6))).toBeLessThan(12);
  });

  // ITU-R P.372, from memory: median man-made noise at 10 MHz is 49.1, 44.8, 39.5 and 25.0 dB; the galaxy has 29 dB there.
  it.each([
    ['city', 49.1],
    ['residential', 44.8],
    ['rural', 39.5],
    ['quiet rural', 25.0],
  ] as const)('a %s place at 10 MHz has %d dB', (noisePlace, db) => {
    const galactic = 10 ** 2.9;
    const manMade = externalNoise(10e6, { noisePlace }) - galactic;
    expect(10 * Math.log10(manMade)).toBeCloseTo(db, 0);
  });

  // ITU-R P.372, from memory: a clear sky has 5 to 6 K overhead between 1 and 10 GHz, about 30 K at 5°, over 100 K at the horizon.
  it('the sky is coldest overhead', () => {
    expect(skyK(90)).toBeGreaterThan(4.5);
    expect(skyK(90)).toBeLessThan(7);
    expect(skyK(5)).toBeGreaterThan(20);
    expect(skyK(5)).toBeLessThan(45);
    expect(skyK(0)).toBeGreaterThan(100);
  });

  // Texts on radio astronomy and moonbounce: half of a level beam lies on ground at 290 K, so it hears 150 to 250 K; one at the zenith 10 to 30 K.
  it('a level beam sees the ground, one that looks down nothing else', () => {
    expect(groundShare(0)).toBe(0.5);
    expect(seenK(0)).toBeGreaterThan(150);
    expect(seenK(0)).toBeLessThan(250);
    expect(seenK(-20)).toBeCloseTo(290, 0);
    expect(seenK(90)).toBeGreaterThan(10);
    expect(seenK(90)).toBeLessThan(30);
    // At 2.4 GHz in the quiet country that is what is heard: nearly as much as the receiver’s own 290 K.
    const level = externalNoise(2.4e9, { noisePlace: 'quiet rural', elevationDeg: 0 });
    expect(level * 290).toBeGreaterThan(150);
    expect(level / externalNoise(2.4e9, { noisePlace: 'quiet rural', elevationDeg: 90 })).toBeGreaterThan(4);
  });

  // Common practice, no source: on HF several decibels of cable go unheard, at UHF each counts in full.
  it('loss is unheard on HF and counts at UHF', () => {
    const costs = (frequencyHz: number): number =>
      noisePenaltyDb({ frequencyHz, lossDb: 3, receiverNoiseDb: 5 }) -
      noisePenaltyDb({ frequencyHz, lossDb: 0, receiverNoiseDb: 5 });
    expect(costs(3.6e6)).toBeLessThan(0.1);
    expect(costs(1.3e9)).toBeGreaterThan(2.8);
  });

  // Friis’s formula, worked by hand: behind 20 dB of gain a loss of 6 dB before a 5 dB receiver adds (12.59 − 1)/100 = 0.116.
  it('behind an amplifier loss hardly counts', () => {
    const outside = externalNoise(137e6);
    const expected = 10 * Math.log10((outside + (10 ** 0.1 - 1) + (10 ** 1.1 - 1) / 100) / outside);
    expect(
      noisePenaltyDb({
        frequencyHz: 137e6,
        lossDb: 6,
        receiverNoiseDb: 5,
        preamplifier: { noiseFigureDb: 1, gainDb: 20 },
      }),
    ).toBeCloseTo(expected, 9);
  });
});
