import { describe, expect, it } from 'vitest';
import { fitCable, partsFor } from '../fit/index.js';
import { SPEED_OF_LIGHT, attenuationDbPer100M } from '../line/index.js';
import {
  catalog,
  entry,
  faceCode,
  faceName,
  faceInFull,
  faceOf,
  faces,
  gasTubeVolts,
  hexDiesMm,
  isReverse,
  parseFace,
  seriesById,
  styleIds,
  variantOf,
} from './index.js';

const cables = [...catalog.cables.values()];

describe('cables agree with the physics of a coaxial line', () => {
  // C' = 1/(Z0·VF·c): Pozar, Microwave Engineering; Ramo, Whinnery, Van Duzer.
  it.each(cables.map((cable) => [cable.name, cable] as const))(
    '%s: capacitance follows from impedance and velocity',
    (_, cable) => {
      const pf = 1e12 / (cable.impedanceOhm * cable.velocityFactor * SPEED_OF_LIGHT);
      expect(Math.abs(cable.capacitancePfPerM - pf) / pf).toBeLessThan(0.02);
    },
  );

  // Z0 = 59.96/√εr · ln(D/d), VF = 1/√εr; a stranded centre counts 0.94 of its circle. Same texts; nominal diameters ±8 %.
  it.each(cables.map((cable) => [cable.name, cable] as const))(
    '%s: impedance follows from diameters',
    (_, cable) => {
      const d = cable.centreMm * (cable.centreKind === 'stranded' ? 0.94 : 1);
      const z0 = 59.96 * cable.velocityFactor * Math.log(cable.dielectricMm / d);
      // The field of a helix reaches into its crests, beyond the diameter of its roots.
      const most = cable.shield.startsWith('helically') ? 0.15 : 0.08;
      expect(Math.abs(z0 - cable.impedanceOhm) / cable.impedanceOhm).toBeLessThan(most);
    },
  );

  // Handbook tables of attenuation, from memory: dB per 100 m at 100 MHz, ±12 %.
  it.each([
    ['rg58', 16.1],
    ['rg213', 7.0],
    ['rg174', 28.9],
    ['c400', 4.1],
    ['rg6', 6.6],
  ])('%s at 100 MHz', (id, expected) => {
    expect(
      Math.abs(attenuationDbPer100M(entry(catalog.cables, id), 100e6) - expected) / expected,
    ).toBeLessThan(0.12);
  });

  it('every cable’s layers lie over each other', () => {
    for (const { centreMm, dielectricMm, jacketMm, bendOnceMm, bendRepeatedMm } of cables) {
      expect([centreMm, dielectricMm, jacketMm]).toEqual(
        [centreMm, dielectricMm, jacketMm].toSorted((a, b) => a - b),
      );
      expect(bendRepeatedMm).toBeGreaterThan(bendOnceMm);
    }
  });
});

describe('faces', () => {
  // Interface standards as cited in the series: IEC 61169-8 BNC 4 GHz, -16 N 11 GHz, -15 SMA 18 GHz, from memory.
  it.each([
    ['bnc', 4e9],
    ['n', 11e9],
    ['sma', 18e9],
  ] as const)('%s is good to its standard’s frequency', (id, hz) =>
    expect(seriesById[id].variants[0].maxFrequencyHz).toBe(hz),
  );

  it('reverse polarity keeps the body and swaps the contact', () => {
    expect(faceOf('rp-sma-plug')).toEqual({
      series: 'sma',
      body: 'plug',
      contact: 'socket',
      impedanceOhm: 50,
    });
    expect(faceName(faceOf('rp-sma-jack'))).toBe('RP-SMA jack');
    expect(isReverse(faceOf('sma-jack'))).toBe(false);
    // SMB and SMC: the jack has the pin, and is the usual polarity all the same. Trade fact, no source.
    expect(faceInFull(faceOf('smb-jack'))).toBe('SMB jack, pin');
    expect(faceInFull(faceOf('smc-plug'))).toBe('SMC plug, socket');
  });

  it('code and name both lead back to the face', () => {
    for (const [code, face] of faces) {
      expect(faceCode(face)).toBe(code);
      expect(parseFace(faceName(face))).toEqual({ ok: true, value: face });
      expect(parseFace(code)).toEqual({ ok: true, value: face });
    }
  });

  it.each([
    ['PL-259', 'uhf-plug'],
    ['SO-239', 'uhf-jack'],
    ['N 75 plug', 'n75-plug'],
    ['bnc 50 jack', 'bnc-jack'],
  ])('%s is understood', (words, code) =>
    expect(parseFace(words)).toEqual({ ok: true, value: faceOf(code) }),
  );

  it('an unknown face is refused with the known ones', () => {
    expect(parseFace('XYZ plug')).toMatchObject({ ok: false, problem: { code: 'face.unknown' } });
  });
});

describe('parts', () => {
  // Issue of the shop: every common size has a crimp and a gland part. Die sizes: common practice, no source.
  it.each(['rg58', 'rg8x', 'rg213'])('%s has a crimp and a gland part', (id) => {
    const styles = [...catalog.parts.values()]
      .filter((part) => fitCable(part, entry(catalog.cables, id)).verdict === 'fits')
      .map(({ style }) => style);
    expect(styles).toEqual(expect.arrayContaining(['crimp', 'gland']));
  });

  // RG-58 ferrules take the 5.4 mm die, RG-213 the 10.9 mm one. Common practice, no source.
  it.each([
    ['bnc-plug-crimp-5mm', 5.4],
    ['uhf-plug-crimp-10mm', 10.9],
    ['bnc-plug-crimp-25mm', 3.25],
    ['uhf-plug-crimp-6mm', 6.5],
  ])('%s takes its usual die', (id, die) => {
    expect(entry(catalog.parts, id).hexMm).toBe(die);
    expect(hexDiesMm).toContain(die);
  });

  // What the trade sells, common practice, no source: families of terminations, each with at least one part.
  it('every style of termination has parts, each fitting the cable it is made for', () => {
    for (const style of styleIds) {
      const made = [...catalog.parts.values()].filter((part) => part.style === style);
      expect(made.length, style).toBeGreaterThan(0);
      for (const part of made)
        expect(
          [...catalog.cables.values()].some((cable) => fitCable(part, cable).verdict === 'fits'),
          part.id,
        ).toBe(true);
    }
  });

  it('every cable can be ended with a part that passes its power or is made for receiving', () => {
    for (const cable of catalog.cables.values())
      expect(partsFor(cable, catalog.parts.values()).length, cable.id).toBeGreaterThan(1);
  });

  // The bag of a 10 mm part holds two pins, for the stranded 2.26 mm and the solid 2.74 mm centre. Trade fact, no source.
  it('a 10 mm part comes with pins for solid and stranded centres', () => {
    const { pins } = entry(catalog.parts, 'n-plug-gland-10mm');
    expect(pins.map(({ made }) => made)).toEqual(['stranded', 'solid']);
    expect(pins[0].boreMm).toBeGreaterThan(2.26);
    expect(pins[0].boreMm).toBeLessThan(2.74);
    expect(pins[1].boreMm).toBeGreaterThan(2.74);
  });

  it('adapters never claim more than the weaker of their series', () => {
    for (const { faces: codes, maxFrequencyHz } of catalog.adapters.values())
      for (const code of codes)
        expect(maxFrequencyHz).toBeLessThanOrEqual(variantOf(faceOf(code)).maxFrequencyHz);
  });

  // A kit of the trade, common practice, no source: barrel and plug-plug of each series, between the common ones in all
  // genders, polarity converters, savers, right angles.
  it.each([
    ...['uhf', 'n', 'bnc', 'tnc', 'sma', 'f', '7-16', '43-10', 'fme', 'mini-uhf'].flatMap((family) => [
      `${family}-jack-to-${family}-jack`,
      `${family}-plug-to-${family}-plug`,
    ]),
    ...['plug', 'jack'].flatMap((a) =>
      ['plug', 'jack'].flatMap((b) => [
        `sma-${a}-to-bnc-${b}`,
        `sma-${a}-to-n-${b}`,
        `uhf-${a}-to-n-${b}`,
        `uhf-${a}-to-bnc-${b}`,
        `n-${a}-to-bnc-${b}`,
        `rp-sma-${a}-to-sma-${b}`,
        `fme-${a}-to-bnc-${b}`,
      ]),
    ),
    'sma-plug-to-sma-jack-saver',
    'n-plug-to-n-jack-angle',
    'n75-plug-to-n-jack-pad',
  ])('has the adapter %s', (id) => expect(catalog.adapters.has(id)).toBe(true));

  it('tube voltages ascend', () => expect(gasTubeVolts).toEqual(gasTubeVolts.toSorted((a, b) => a - b)));
});
