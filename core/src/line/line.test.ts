import fc from 'fast-check';
import { complex, cosh, sinh, multiply, add, divide, type Complex as MathComplex } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { catalog, entry, seriesById } from '../catalog/index.js';
import {
  along,
  AVERAGE_POWER_SPREAD,
  averagePowerW,
  attenuationDbPer100M,
  cableLine,
  connectorAverageW,
  standingWaveHeat,
  cascade,
  matchedLossDb,
  peakVoltageFromForward,
  peakVoltageFromNet,
  phaseConstant,
  reflectionDb,
  reflectionFromSwr,
  sweep,
  swrBehindLoss,
  swrFromReflection,
  totalLossDb,
  type Element,
  type PlacedElement,
} from './index.js';

const cable = (id: string, lengthM: number): Element => {
  const { impedanceOhm, velocityFactor, k1, k2 } = entry(catalog.cables, id);
  return { kind: 'line', z0Ohm: impedanceOhm, velocityFactor, lengthM, k1, k2 };
};

const anyElement: fc.Arbitrary<Element> = fc.oneof(
  fc.record({
    kind: fc.constant('line' as const),
    z0Ohm: fc.double({ min: 20, max: 200, noNaN: true }),
    velocityFactor: fc.double({ min: 0.5, max: 1, noNaN: true }),
    lengthM: fc.double({ min: 0.001, max: 20, noNaN: true }),
    k1: fc.double({ min: 0, max: 3, noNaN: true }),
    k2: fc.double({ min: 0, max: 0.03, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('contact' as const),
    dbPerSqrtGhz: fc.double({ min: 0, max: 0.5, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('shunt capacitance' as const),
    farad: fc.double({ min: 1e-13, max: 1e-10, noNaN: true }),
  }),
);
const anyCascade = fc.array(anyElement, { minLength: 1, maxLength: 12 });
const anyHz = fc.double({ min: 1e6, max: 1e9, noNaN: true });

describe('published relations', () => {
  // Total loss with SWR: The ARRL Antenna Book. A 3 dB line shows a load SWR of 3.0 as about 1.67 at the radio.
  it('a 3 dB line hides SWR 3 as 1.67', () => {
    const seen = reflectionFromSwr(3) * 10 ** ((-2 * 3) / 20);
    expect(swrFromReflection(seen)).toBeCloseTo(1.67, 2);
    const line: Element = { kind: 'line', z0Ohm: 50, velocityFactor: 0.66, lengthM: 100, k1: 3, k2: 0 };
    const { reflection } = sweep([line], { re: 150, im: 0 }, new Float64Array([1e6]));
    expect(swrFromReflection(reflection[0])).toBeCloseTo(1.67, 2);
  });

  it('the cascade turns into heat what the total-loss formula says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.01, max: 10, noNaN: true }),
        fc.double({ min: 1, max: 80, noNaN: true }),
        anyHz,
        (swr, lengthM, hz) => {
          const { heatLossDb } = sweep(
            [cable('rg58', lengthM)],
            { re: 50 * swr, im: 0 },
            new Float64Array([hz]),
          );
          const expected = totalLossDb(
            matchedLossDb(entry(catalog.cables, 'rg58'), hz, lengthM),
            reflectionFromSwr(swr),
          );
          expect(heatLossDb[0]).toBeCloseTo(expected, 6);
        },
      ),
    );
  });

  // Pozar: reflection of 75 in 50 ohm is 0.2, 13.98 dB.
  it('75 on 50 ohm', () => expect(reflectionDb(50, 75)).toBeCloseTo(13.979, 3));

  it('peak voltage from net and from forward power agree at the same operating point', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        fc.double({ min: 1, max: 2000, noNaN: true }),
        (magnitude, forwardW) => {
          const netW = forwardW * (1 - magnitude ** 2);
          expect(peakVoltageFromNet(netW, 50, swrFromReflection(magnitude))).toBeCloseTo(
            peakVoltageFromForward(forwardW, 50, magnitude),
            6,
          );
        },
      ),
    );
  });

  // Common practice, no source: twenty mixed adapters in series cost less than 0.05 dB at 14 MHz.
  it('twenty mixed adapters vanish at 14 MHz', () => {
    const adapter = (z0Ohm: number): Element[] => [
      { kind: 'contact', dbPerSqrtGhz: 0.012 },
      { kind: 'line', z0Ohm, velocityFactor: 1, lengthM: 0.05, k1: 0, k2: 0 },
    ];
    const stack = Array.from({ length: 20 }, (_, k) => adapter(k % 3 === 0 ? 35 : 50)).flat();
    const { transmissionDb } = sweep(stack, { re: 50, im: 0 }, new Float64Array([14e6]));
    expect(-transmissionDb[0]).toBeLessThan(0.05);
  });

  // Ratings printed for these types at 40 °C and SWR 1, W at 30, 150 and 450 MHz: handbooks and sheets of several makers, rounded, from memory.
  it.each([
    ['rg58', 500, 200, 100],
    ['rg213', 1850, 750, 380],
    ['c240', 1450, 650, 370],
    ['c400', 3200, 1450, 830],
    ['h12', 6500, 2900, 1600],
    ['h78', 17000, 7300, 4000],
  ])('average power of %s is that of the sheets within 30 %%', (id, ...ratings) => {
    for (const [k, hz] of [30e6, 150e6, 450e6].entries()) {
      const ratio = averagePowerW(entry(catalog.cables, id), hz, 40, 1) / ratings[k];
      expect(ratio).toBeGreaterThan(1 - AVERAGE_POWER_SPREAD);
      expect(ratio).toBeLessThan(1 + AVERAGE_POWER_SPREAD);
    }
  });

  // From memory: PTFE of this size is printed with 1.4 to 3 kW at 28 MHz, by the temperature that is allowed.
  it('RG-400/U carries more than a kilowatt at 28 MHz', () => {
    const watts = averagePowerW(entry(catalog.cables, 'rg400'), 28e6, 40, 1);
    expect(watts).toBeGreaterThan(1300);
    expect(watts).toBeLessThan(3000);
  });

  it('average power falls as 1/√f, with warmth and with a standing wave', () => {
    const rg213 = entry(catalog.cables, 'rg213');
    const at30 = averagePowerW(rg213, 30e6, 40, 1);
    expect(averagePowerW(rg213, 120e6, 40, 1) / at30).toBeCloseTo(0.5, 1);
    expect(averagePowerW(rg213, 30e6, 75, 1)).toBe(0);
    expect(averagePowerW(rg213, 30e6, 40, 3)).toBeLessThan(at30);
  });

  it('behind a loss beyond all measure nothing arrives, and nothing is NaN', () => {
    const thin = cableLine(entry(catalog.cables, 'rg174'), 10_000);
    for (const grid of [[18e9], [17e9, 17.5e9, 18e9]]) {
      const { transmissionDb, reflection } = sweep(
        [thin, thin, thin],
        { re: 100, im: 0 },
        Float64Array.from(grid),
        50,
      );
      for (const db of transmissionDb) expect(db).toBeLessThan(-300);
      for (const rho of reflection) expect(rho).toBeCloseTo(0, 6);
    }
  });

  // R/(2·Z0), Pozar: RG-174/U, 355 ohm/km in 50 ohm, is 3.08 dB per 100 m for direct current.
  it('no cable loses less than its copper for direct current', () => {
    const rg174 = entry(catalog.cables, 'rg174');
    expect(attenuationDbPer100M(rg174, 1e3)).toBeCloseTo(3.08, 2);
    const line = { ...cableLine(rg174, 100), k1: 0, k2: 0 };
    const { transmissionDb } = sweep([line], { re: 50, im: 0 }, new Float64Array([1e5, 2e5, 3e5]));
    for (const db of transmissionDb) expect(-db).toBeCloseTo(3.08, 2);
  });

  // Tables of handbooks, from memory (dB per 100 m): RG-316 4.3 and 8.9 at 1 and 10 MHz; RG-179 10, 18, 34, 50, 79 at 1, 10, 100, 400, 1000 MHz.
  it.each([
    [
      'rg316',
      [
        [1, 4.3],
        [10, 8.9],
      ],
    ],
    [
      'rg179',
      [
        [1, 10],
        [10, 18],
        [100, 34],
        [400, 50],
        [1000, 79],
      ],
    ],
  ] as const)('a steel centre of %s loses what the tables say', (id, points) => {
    for (const [mhz, db] of points)
      expect(Math.abs(attenuationDbPer100M(entry(catalog.cables, id), mhz * 1e6) / db - 1)).toBeLessThan(
        0.08,
      );
  });

  // Handbook: (S² + 1)/(2S) + F1·(S² − 1)/(2S), F1 near 1 at HF, which gives S, falling toward 0, which gives the mean of both currents.
  it('a standing wave costs S of it at HF and the mean of both currents at UHF', () => {
    const rg213 = entry(catalog.cables, 'rg213');
    expect(standingWaveHeat(rg213, 3.5e6, 3)).toBeCloseTo(3, 1);
    expect(standingWaveHeat(rg213, 2e9, 3)).toBeCloseTo(10 / 6, 1);
    for (const hz of [3.5e6, 145e6, 2e9]) expect(standingWaveHeat(rg213, hz, 1)).toBe(1);
  });

  // Handbook of the trade, from memory: PTFE cables carry two to three times a PE cable of their size.
  it.each([
    ['rg142', 'rg58'],
    ['rg400', 'rg58'],
    ['rg316', 'rg174'],
  ])('%s carries two to three times what %s does', (ptfe, pe) => {
    const [hot, cool] = [ptfe, pe].map((id) => averagePowerW(entry(catalog.cables, id), 100e6, 40, 1));
    expect(hot / cool).toBeGreaterThan(2);
    // Both within their spread.
    expect(hot / cool).toBeLessThan(3 * 1.15);
  });

  // Common practice, no source: 100 W of HF through BNC is routine, legal-limit HF goes through UHF; a rating falls as 1/√f.
  it('connectors have a limit too', () => {
    const watts = (id: 'bnc' | 'uhf' | 'n' | 'sma', hz: number): number =>
      connectorAverageW(seriesById[id], hz, 40, 1);
    expect(watts('bnc', 14e6)).toBeGreaterThan(300);
    expect(watts('uhf', 14e6)).toBeGreaterThan(1500);
    expect(watts('n', 400e6) / watts('n', 100e6)).toBeCloseTo(0.5, 9);
    expect(watts('sma', 1e9)).toBeLessThan(150);
    expect(connectorAverageW(seriesById.n, 100e6, 90, 1)).toBe(0);
    expect(connectorAverageW(seriesById.n, 100e6, 40, 2)).toBeCloseTo(watts('n', 100e6) / 2, 9);
  });
});

describe('laws of a passive line', () => {
  it('is reciprocal: AD − BC = 1', () => {
    fc.assert(
      fc.property(anyCascade, anyHz, (elements, hz) => {
        const [ar, ai, br, bi, cr, ci, dr, di] = cascade(elements, hz);
        const size = Math.hypot(ar, ai) * Math.hypot(dr, di) + Math.hypot(br, bi) * Math.hypot(cr, ci);
        expect(Math.abs(ar * dr - ai * di - (br * cr - bi * ci) - 1) / size).toBeLessThan(1e-9);
        expect(Math.abs(ar * di + ai * dr - (br * ci + bi * cr)) / size).toBeLessThan(1e-9);
      }),
    );
  });

  it('never delivers more than it takes, whatever the load', () => {
    fc.assert(
      fc.property(
        anyCascade,
        anyHz,
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: -300, max: 300, noNaN: true }),
        (elements, hz, re, im) => {
          const { heatLossDb, transmissionDb, reflection } = sweep(
            elements,
            { re, im },
            new Float64Array([hz]),
          );
          // Rounding of V and I as a share of the power that goes through, which is little where nearly all is reflected.
          const through = 1 - reflection[0] ** 2;
          const rounding = (16 * (elements.length + 1) * Number.EPSILON) / through;
          expect(heatLossDb[0]).toBeGreaterThan((-10 / Math.LN10) * rounding);
          expect(transmissionDb[0]).toBeLessThan(1e-9);
          expect(reflection[0]).toBeLessThanOrEqual(1 + 1e-12);
        },
      ),
    );
  });

  it('longer cable and higher frequency lose more', () => {
    const rg58 = entry(catalog.cables, 'rg58');
    fc.assert(
      fc.property(anyHz, fc.double({ min: 0.1, max: 100, noNaN: true }), (hz, lengthM) => {
        expect(matchedLossDb(rg58, hz, lengthM * 1.1)).toBeGreaterThan(matchedLossDb(rg58, hz, lengthM));
        expect(matchedLossDb(rg58, hz * 1.1, lengthM)).toBeGreaterThan(matchedLossDb(rg58, hz, lengthM));
      }),
    );
  });
});

// Reference library: mathjs complex functions, an independent way to the same chain matrix.
describe('against complex arithmetic of another hand', () => {
  it('a cable’s input impedance', () => {
    fc.assert(
      fc.property(
        anyHz,
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: -200, max: 200, noNaN: true }),
        (hz, lengthM, re, im) => {
          const rg8x = entry(catalog.cables, 'rg8x');
          const alpha = matchedLossDb(rg8x, hz, 1) / (20 / Math.LN10);
          const gl = complex(alpha * lengthM, phaseConstant(rg8x.velocityFactor, hz) * lengthM);
          const zl = complex(re, im);
          const zin = divide(
            add(multiply(zl, cosh(gl)), multiply(50, sinh(gl))),
            add(cosh(gl), divide(multiply(zl, sinh(gl)), 50)),
          ) as MathComplex;
          const gamma = divide(add(zin, -50), add(zin, 50)) as MathComplex;
          const { reflection } = sweep([cable('rg8x', lengthM)], { re, im }, new Float64Array([hz]));
          expect(reflection[0]).toBeCloseTo(Math.hypot(gamma.re, gamma.im), 8);
        },
      ),
    );
  });
});

describe('along the run', () => {
  const place = (elements: Element[]): PlacedElement[] => {
    let at = 0;
    return elements.map((element) => {
      const fromM = at;
      if (element.kind === 'line') at += element.lengthM;
      return { element, fromM, toM: at };
    });
  };

  it('starts at the radio, ends at the antenna, and power only falls', () => {
    const run = along(
      place([cable('rg58', 10), { kind: 'contact', dbPerSqrtGhz: 0.1 }, cable('rg213', 20)]),
      { re: 75, im: 0 },
      150e6,
      25,
    );
    expect(run.distanceM[0]).toBe(0);
    expect(run.distanceM.at(-1)).toBeCloseTo(30, 9);
    for (let k = 1; k < run.netW.length; k++) {
      expect(run.netW[k]).toBeLessThanOrEqual(run.netW[k - 1] + 1e-9);
      expect(run.distanceM[k]).toBeGreaterThanOrEqual(run.distanceM[k - 1] - 1e-9);
    }
  });

  it('matched: √(2·P·Z0) volts, and all forward power enters', () => {
    const run = along(place([cable('rg213', 5)]), { re: 50, im: 0 }, 10e6, 100);
    expect(run.netW[0]).toBeCloseTo(100, 9);
    expect(run.envelopeV[0]).toBeCloseTo(Math.sqrt(2 * 100 * 50), 9);
    expect(run.peakV[0]).toBeCloseTo(run.envelopeV[0], 9);
    // Ohm’s law in a matched line: I = V / Z0.
    expect(run.peakA[0]).toBeCloseTo(run.peakV[0] / 50, 9);
  });

  it('mismatched: the envelope at the load is √(2·P·Z0·SWR) of the net power, and no voltage exceeds it', () => {
    const run = along(place([cable('rg213', 30)]), { re: 150, im: 0 }, 14e6, 100, 200);
    const last = run.netW.length - 1;
    expect(run.envelopeV[last]).toBeCloseTo(peakVoltageFromNet(run.netW[last], 50, 3), 6);
    for (let k = 0; k <= last; k++) expect(run.peakV[k]).toBeLessThanOrEqual(run.envelopeV[k] + 1e-9);
  });

  it('delivers what the sweep says', () => {
    const elements = [cable('rg58', 8), cable('rg59', 4)];
    const run = along(place(elements), { re: 30, im: 20 }, 70e6, 10);
    const { transmissionDb } = sweep(elements, { re: 30, im: 20 }, new Float64Array([70e6]));
    expect(run.netW.at(-1)).toBeCloseTo(10 * 10 ** (transmissionDb[0] / 10), 9);
  });
});

describe('SWR behind a loss', () => {
  // The ARRL Antenna Book: 3 dB of matched loss turn a load SWR of 3 (|Γ| = 0.5) into 1.67 (|Γ| = 0.25) at the radio.
  it('3 dB hide an SWR of 3 behind 1.67', () => {
    expect(swrBehindLoss(0.25, 10 * Math.log10(2))).toBeCloseTo(3, 9);
    expect(swrFromReflection(0.25)).toBeCloseTo(1.667, 3);
  });
  it('is infinite where more would come back than went', () => expect(swrBehindLoss(0.6, 3)).toBe(Infinity));
});
