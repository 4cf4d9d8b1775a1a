import { describe, expect, it } from 'vitest';
import { parse } from './thread.fixture.js';
import { seriesById, type SeriesId } from './index.js';

/** Coupling, impedance and limits as the interface standards give them, from memory. */
const standards: [id: SeriesId, thread: string, ohms: (number | null)[], ghz: number, standard: string][] = [
  ['uhf', '5/8-24 UNEF', [null], 0.3, 'IEC 60169-12'],
  ['n', '5/8-24 UNEF', [50, 75], 11, 'IEC 61169-16; MIL-STD-348'],
  ['bnc', 'two lugs, quarter turn', [50, 75, 75], 4, 'IEC 61169-8'],
  ['tnc', '7/16-28 UNEF', [50, 75], 11, 'IEC 61169-17'],
  ['sma', '1/4-36 UNS', [50], 18, 'IEC 61169-15'],
  ['3-5mm', '1/4-36 UNS', [50], 26.5, 'IEC 61169-23'],
  ['2-92mm', '1/4-36 UNS', [50], 40, 'IEC 61169-35'],
  ['2-4mm', 'M7x0.75', [50], 50, 'IEC 61169-40'],
  ['smb', 'snap-on, 3.7 mm', [50], 4, 'IEC 61169-10'],
  ['smc', '10-32 UNF', [50], 10, 'IEC 61169-9'],
  ['mcx', 'snap-on, 3.6 mm', [50], 6, 'IEC 61169-36'],
  ['mmcx', 'snap-on, 2.4 mm', [50], 6, 'IEC 61169-52'],
  ['tv', 'push-on, 9.5 mm', [75], 1, 'IEC 61169-2'],
  ['f', '3/8-32 UNEF', [75], 3, 'IEC 61169-24'],
  ['7-16', 'M29x1.5', [50], 7.5, 'IEC 61169-4'],
  ['43-10', 'M20x1', [50], 6, 'IEC 61169-54'],
  ['rca', 'push-on, 8.3 mm', [null], 0.03, 'IEC 60603-14'],
];

describe('series against their standards', () => {
  it.each(standards)('%s: %s, %j ohm, to %d GHz, %s', (id, thread, ohms, ghz, standard) => {
    const series = seriesById[id];
    expect(series.thread).toBe(thread);
    expect(series.variants.map(({ impedanceOhm }) => impedanceOhm)).toEqual(ohms);
    expect(series.variants[0].maxFrequencyHz).toBe(ghz * 1e9);
    expect(series.standard).toBe(standard);
  });

  // ASME B1.1 and ISO 261 by definition: the name of a thread begins with its major diameter.
  it.each(
    Object.values(seriesById)
      .filter(({ coupling }) => coupling === 'thread')
      .map((one) => [one.id, one] as const),
  )('%s: the thread’s name says its diameter', (_, { thread, threadMm }) =>
    expect(Math.abs(parse(thread) - threadMm)).toBeLessThan(0.02),
  );

  // 50 ohm coaxial contacts follow Z = 59.96·ln(D/d) in air (Pozar): the air-spaced interfaces obey it.
  it.each(['7-16', '43-10'] as const)('%s: contact and outer conductor make 50 ohm in air', (id) => {
    const { outerConductorIdMm, variants } = seriesById[id];
    expect(Math.abs(59.96 * Math.log(outerConductorIdMm / variants[0].pinMm) - 50)).toBeLessThan(1);
  });

  // The three air lines are named by the bore of their outer conductor, mm: IEEE Std 287, from memory.
  it.each([
    ['3-5mm', 3.5],
    ['2-92mm', 2.92],
    ['2-4mm', 2.4],
  ] as const)('%s: named by its bore of %d mm', (id, boreMm) =>
    expect(seriesById[id].outerConductorIdMm).toBe(boreMm),
  );

  // An air line with moding above its top frequency: TE11 cut-off (Pozar) of bore and 50 ohm inner lies beyond it.
  it.each(['3-5mm', '2-92mm', '2-4mm'] as const)('%s: carries one mode up to its top frequency', (id) => {
    const { outerConductorIdMm, variants } = seriesById[id];
    const inner = outerConductorIdMm / Math.exp(50 / 59.96);
    const cutOffHz = 299_792_458 / ((Math.PI / 2) * (outerConductorIdMm + inner) * 1e-3);
    expect(cutOffHz).toBeGreaterThan(variants[0].maxFrequencyHz);
  });

  it('television plug: pin and outer conductor make 75 ohm in air (IEC 61169-2, from memory)', () => {
    const { outerConductorIdMm, variants } = seriesById.tv;
    expect(Math.abs(59.96 * Math.log(outerConductorIdMm / variants[0].pinMm) - 75)).toBeLessThan(1);
  });

  it('each series’ dimensions can be: pin inside outer conductor inside body inside nut', () => {
    for (const {
      id,
      coupling,
      variants,
      outerConductorIdMm,
      jackBodyMm,
      plugNutMm,
      threadMm,
    } of Object.values(seriesById)) {
      if (coupling === 'soldered') continue;
      for (const { pinMm } of variants) expect(pinMm, id).toBeLessThan(outerConductorIdMm);
      expect(outerConductorIdMm, id).toBeLessThan(jackBodyMm);
      expect(plugNutMm, id).toBeGreaterThan(threadMm);
    }
  });

  it('each datum says where it comes from', () => {
    for (const { id, source, standard } of Object.values(seriesById)) {
      expect(source, id).not.toBe('');
      expect(standard, id).not.toBe('');
    }
  });
});
