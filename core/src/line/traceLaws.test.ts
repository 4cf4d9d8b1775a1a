import fc from 'fast-check';
import { complex, ctranspose, eigs, multiply, type Complex, type Matrix, matrix } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { largestSingularValue, reciprocityError, scattering, type LineElement } from './index.js';

const one = (re: number, im: number) => ({ re: Float64Array.of(re), im: Float64Array.of(im) });
// The library loses itself in figures near the smallest there are.
const number = fc.double({ min: -1, max: 1, noNaN: true }).map((x) => (Math.abs(x) < 1e-9 ? 0 : x));

describe('laws of a trace', () => {
  // Singular values are the roots of the eigenvalues of SᴴS, by a library of matrices.
  it('the largest singular value is that of a library', () =>
    fc.assert(
      fc.property(fc.array(number, { minLength: 8, maxLength: 8 }), ([a, b, c, d, e, f, g, h]) => {
        const own = largestSingularValue({
          s11: one(a, b),
          s12: one(c, d),
          s21: one(e, f),
          s22: one(g, h),
        })[0];
        const s = matrix([
          [complex(a, b), complex(c, d)],
          [complex(e, f), complex(g, h)],
        ]);
        const { values } = eigs(multiply(ctranspose(s), s));
        const roots = (values as Matrix).toArray().map((value) => {
          const real = typeof value === 'number' ? value : (value as Complex).re;
          return Math.sqrt(Math.max(0, real));
        });
        expect(own).toBeCloseTo(Math.max(...roots), 5);
      }),
      { numRuns: 40 },
    ));

  it('a cable is passive and reciprocal, whatever it is joined to', () => {
    const line = (z0Ohm: number): LineElement => ({
      kind: 'line',
      z0Ohm,
      velocityFactor: 0.66,
      lengthM: 3,
      k1: 0.6,
      k2: 0.01,
    });
    const s = scattering([line(50), line(20), line(90)], Float64Array.of(10e6, 100e6, 900e6));
    for (const value of largestSingularValue(s)) expect(value).toBeLessThanOrEqual(1 + 1e-12);
    for (const value of reciprocityError(s)) expect(value).toBeLessThan(1e-12);
  });

  // Each column sums to less than one, and the matrix amplifies all the same: 0.7 in every place has a singular value of 1.4.
  it('sums over columns do not prove passivity', () =>
    expect(
      largestSingularValue({ s11: one(0.7, 0), s12: one(0.7, 0), s21: one(0.7, 0), s22: one(0.7, 0) })[0],
    ).toBeCloseTo(1.4, 12));
});
