import type { Element } from '@kobran/core';
import { add, complex, cosh, divide, multiply, sinh, type Complex, type MathType } from 'mathjs';
import { load } from './aLongRun.js';
import { attenuationNeper } from './insides.js';

type Matrix = [[Complex, Complex], [Complex, Complex]];
const c = (value: MathType): Complex => complex(value as Complex);

/** The same chain matrix in a general library’s complex numbers. */
function chain(element: Element, hz: number): Matrix {
  switch (element.kind) {
    case 'line': {
      const gl = complex(
        attenuationNeper(element, hz) * element.lengthM,
        ((2 * Math.PI * hz) / (element.velocityFactor * 299_792_458)) * element.lengthM,
      );
      const [ch, sh] = [c(cosh(gl)), c(sinh(gl))];
      return [
        [ch, c(multiply(sh, element.z0Ohm))],
        [c(divide(sh, element.z0Ohm)), ch],
      ];
    }
    case 'contact':
      return [
        [complex(1, 0), complex(100 * (10 ** ((element.dbPerSqrtGhz * Math.sqrt(hz / 1e9)) / 20) - 1), 0)],
        [complex(0, 0), complex(1, 0)],
      ];
    case 'shunt capacitance':
      return [
        [complex(1, 0), complex(0, 0)],
        [complex(0, 2 * Math.PI * hz * element.farad), complex(1, 0)],
      ];
    case 'series resistance':
    case 'shunt resistance':
    case 'shunt stub':
    case 'series branch':
    case 'shunt branch':
    case 'ideal transformer':
      throw new Error(`the benchmark has no ${element.kind}`);
  }
}

const dot = (a: Complex, b: Complex, p: Complex, q: Complex): Complex =>
  c(add(multiply(a, b), multiply(p, q)));
const times = ([[a, b], [p, q]]: Matrix, [[e, f], [g, h]]: Matrix): Matrix => [
  [dot(a, e, b, g), dot(a, f, b, h)],
  [dot(p, e, q, g), dot(p, f, q, h)],
];

/** The sweep with a general library’s complex numbers: the yardstick. */
export function sweepByMathjs(elements: Element[], frequencies: Float64Array): number {
  let sum = 0;
  for (const hz of frequencies) {
    const [[a, b], [p, q]] = elements.map((element) => chain(element, hz)).reduce(times);
    const [v, i] = [c(add(a, divide(b, load.re))), c(add(p, divide(q, load.re)))];
    sum += c(divide(v, i)).re;
  }
  return sum;
}
