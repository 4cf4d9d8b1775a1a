import { describe, expect, it } from 'vitest';
import { catalog, entry, faceOf } from '../catalog/index.js';
import {
  adapterElements,
  aloneDb,
  arresterElements,
  sweep,
  turnedRound,
  writeAbcd,
  type Element,
} from './index.js';

const devices = [...catalog.adapters.values()].filter(({ device }) => device !== undefined);

describe('rigid pieces', () => {
  // The minimum-loss pad between 75 and 50 ohm costs 20 log10(√1.5 + √0.5) = 5.72 dB: standard texts on attenuators.
  it('a matching pad loses 5.72 dB and echoes nothing on its 75 ohm side', () => {
    const pad = adapterElements(entry(catalog.adapters, 'n75-plug-to-n-jack-pad'));
    const { transmissionDb, reflection } = sweep(pad, { re: 50, im: 0 }, new Float64Array([100e6]), 75);
    expect(-transmissionDb[0]).toBeCloseTo(20 * Math.log10(Math.sqrt(1.5) + Math.sqrt(0.5)), 6);
    expect(reflection[0]).toBeLessThan(1e-9);
  });

  it('the other way round it matches too', () => {
    const pad = adapterElements(entry(catalog.adapters, 'n75-plug-to-n-jack-pad')).toReversed();
    const { reflection } = sweep(pad, { re: 75, im: 0 }, new Float64Array([100e6]), 50);
    expect(reflection[0]).toBeLessThan(1e-9);
  });

  // A shorted quarter wave is an open at its frequency and shorts far below it: standard texts (Pozar).
  it('a quarter-wave stub passes its band and shorts HF', () => {
    const stub = arresterElements(entry(catalog.arresters, 'stub-vhf'));
    expect(aloneDb(stub, 156e6).lossDb).toBeLessThan(0.1);
    expect(aloneDb(stub, 138e6).echoDb).toBeGreaterThan(12);
    expect(aloneDb(stub, 7e6).lossDb).toBeGreaterThan(8);
  });

  // Every shipped device that does not transform: its loss between matched lines, and no echo (standard texts on attenuators).
  it.each(devices.filter(({ device }) => device?.ratio === 1).map((one) => [one.id, one] as const))(
    '%s loses what it says in the middle of its band, matched both ways',
    (_, adapter) => {
      const { device, maxFrequencyHz } = adapter;
      if (!device) throw new Error('no device');
      const ohm = faceOf(adapter.faces[0]).impedanceOhm ?? 50;
      const middleHz = Float64Array.of((device.lowHz + maxFrequencyHz) / 2);
      for (const elements of [adapterElements(adapter), turnedRound(adapterElements(adapter))]) {
        const { transmissionDb, reflection } = sweep(elements, { re: ohm, im: 0 }, middleHz, ohm);
        expect(-transmissionDb[0]).toBeCloseTo(device.lossDb, 6);
        expect(reflection[0]).toBeLessThan(1e-6);
      }
    },
  );

  // A 4:1 balun makes 50 ohm of 200: trade fact.
  it('a 4:1 balun shows 50 ohm before 200, and 200 before 50 when it is turned round', () => {
    const balun = adapterElements(entry(catalog.adapters, 'balun-4-1'));
    const at = Float64Array.of(7e6);
    expect(sweep(balun, { re: 200, im: 0 }, at, 50).reflection[0]).toBeLessThan(0.02);
    expect(sweep(turnedRound(balun), { re: 50, im: 0 }, at, 200).reflection[0]).toBeLessThan(0.02);
    expect(sweep(balun, { re: 50, im: 0 }, at, 50).reflection[0]).toBeGreaterThan(0.5);
  });

  it('what is appended step by step is what the matrix says', () => {
    const elements: Element[] = [
      { kind: 'series resistance', ohm: 20 },
      { kind: 'shunt resistance', ohm: 70 },
      {
        kind: 'shunt stub',
        line: { kind: 'line', z0Ohm: 50, velocityFactor: 1, lengthM: 0.4, k1: 0, k2: 0 },
        end: 'short',
      },
    ];
    for (const element of elements) {
      const matrix = new Float64Array(8);
      writeAbcd(element, 100e6, matrix);
      const [ar, , br, , cr, ci, dr] = matrix;
      expect([ar, dr]).toEqual([1, 1]);
      const alone = aloneDb([element], 100e6);
      // |S21| = |2 / (A + B/Z0 + C·Z0 + D)|: Pozar, table of conversions.
      const size = Math.hypot(ar + br / 50 + cr * 50 + dr, ci * 50);
      expect(alone.lossDb).toBeCloseTo(20 * Math.log10(size / 2), 9);
    }
  });
});
