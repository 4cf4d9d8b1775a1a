import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../catalog/index.js';
import { normals } from '../chance/index.js';
import { cableLine, loaded, matchedLossDb, scattering } from '../line/index.js';
import { cableFromSweeps, unknownCable, type Trace } from './index.js';

const f = Float64Array.from({ length: 401 }, (_, k) => 5e6 + k * 0.5e6);

// Computed from the chain matrices of the catalogue's cables, which know nothing of this formula.
describe('what cable is this?', () => {
  it.each([
    ['rg213', 6, 50],
    ['rg59', 9, 75],
    ['c400', 14, 50],
  ])('%s of %d m is told from its open and shorted sweeps', (id, lengthM, ohm) => {
    const cable = entry(catalog.cables, id);
    const s = scattering([cableLine(cable, lengthM)], f, 50);
    const found = unknownCable(loaded(s, { re: 1, im: 0 }), loaded(s, { re: -1, im: 0 }), f, 50, lengthM);
    expect(found?.impedanceOhm).toBeCloseTo(ohm, 0);
    expect(found?.velocityFactor).toBeCloseTo(cable.velocityFactor, 2);
    const middleHz = (f[0] + f[f.length - 1]) / 2;
    expect((found?.lossDb ?? 0) / matchedLossDb(cable, middleHz, lengthM)).toBeCloseTo(1, 0);
  });

  it.each([0.3, 2, 20])(
    '%d m are told through the noise of an analyser, though they lose next to nothing',
    (lengthM) => {
      const cable = entry(catalog.cables, 'h12');
      const s = scattering([cableLine(cable, lengthM)], f, 50);
      const next = normals(7);
      const noisy = (end: number) => {
        const { re, im } = loaded(s, { re: end, im: 0 });
        return { re: re.map((one) => one + 0.003 * next()), im: im.map((one) => one + 0.003 * next()) };
      };
      const found = unknownCable(noisy(1), noisy(-1), f, 50, lengthM);
      expect(found?.velocityFactor).toBeCloseTo(cable.velocityFactor, 2);
      expect(found?.impedanceOhm).toBeCloseTo(50, 0);
    },
  );

  it('two sweeps of the same end say nothing', () => {
    const s = scattering([cableLine(entry(catalog.cables, 'rg213'), 6)], f, 50);
    const open = loaded(s, { re: 1, im: 0 });
    expect(unknownCable(open, open, f, 50)).toBeUndefined();
  });

  it('sweeps of two settings, of one end, or a length that cannot be are refused with words', () => {
    const s = scattering([cableLine(entry(catalog.cables, 'rg213'), 6)], f, 50);
    const traceOf = (end: number, frequencyHz = f): Trace => ({
      frequencyHz,
      ports: 1,
      referenceOhm: 50,
      s: { s11: loaded(s, { re: end, im: 0 }) },
    });
    const code = (...given: Parameters<typeof cableFromSweeps>): string | undefined => {
      const found = cableFromSweeps(...given);
      return found.ok ? undefined : found.problem.code;
    };
    const [open, short] = [traceOf(1), traceOf(-1)];
    expect(code(open, short, 6)).toBeUndefined();
    expect(
      code(
        open,
        traceOf(
          -1,
          f.map((hz) => hz * 2),
        ),
      ),
    ).toBe('sweeps.setting');
    expect(code(open, open)).toBe('sweeps.piece');
    // 6 m typed as 60: faster than light, which no cable is.
    expect(code(open, short, 60)).toBe('sweeps.length');
  });
});
