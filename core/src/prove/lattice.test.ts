import { describe, expect, it } from 'vitest';
import { latticeEchoes, riseTimeS } from './index.js';

describe('echoes of a step', () => {
  // (75 − 50)/(75 + 50) = 0.2, and its counterpart from the other side; an open end sends everything back.
  it('a 75 ohm stretch with an open end: sign and size of each', () => {
    const echoes = latticeEchoes(
      50,
      [
        { atS: 10e-9, ohm: 75 },
        { atS: 25e-9, ohm: Infinity },
      ],
      400e-9,
    );
    expect(echoes[0]).toMatchObject({ bounces: 1, size: 0.2 });
    expect(echoes[0].atS).toBeCloseTo(20e-9, 15);
    // Through (1.2), back from the open end (1), out again (0.8).
    expect(echoes[1].size).toBeCloseTo(0.96, 12);
    expect(echoes[1].atS).toBeCloseTo(50e-9, 15);
    expect(echoes[2].size).toBeCloseTo(1.2 * -0.2 * 0.8, 12);
    expect(echoes[2].atS).toBeCloseTo(80e-9, 15);
    // In the end the whole open line is charged: the incident step and all echoes make 2.
    expect(echoes.reduce((sum, { size }) => sum + size, 1)).toBeCloseTo(2, 2);
  });

  it('a lower impedance answers with the other sign, a short with all of it', () => {
    expect(latticeEchoes(50, [{ atS: 1e-9, ohm: 25 }], 5e-9)[0].size).toBeCloseTo(-1 / 3, 12);
    expect(latticeEchoes(50, [{ atS: 1e-9, ohm: 0 }], 5e-9)).toEqual([{ atS: 2e-9, size: -1, bounces: 1 }]);
  });

  // 0.35/B: 1 GHz shows 350 ps; two rise times add by squares (texts on oscilloscopes).
  it('a band has a rise time', () => {
    expect(riseTimeS(1e9)).toBeCloseTo(350e-12, 15);
    expect(riseTimeS(1e9, 350e-12)).toBeCloseTo(350e-12 * Math.SQRT2, 15);
  });
});
