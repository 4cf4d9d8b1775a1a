import { add, complex, cosh, divide, multiply, sinh, type Complex, type MathType } from 'mathjs';
import { bench, describe } from 'vitest';
import {
  catalog,
  defaultPractice,
  evaluate,
  sweep,
  type AnyPiece,
  type Design,
  type Element,
} from '@kobran/core';
import { layOut, attenuationNeper } from './insides.js';

/** A run of twelve pieces: cables with adapters between them and an arrester, 401 frequencies. */
const pieces: AnyPiece[] = Array.from({ length: 12 }, (_, k): AnyPiece => {
  if (k === 5) return { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 230 };
  if (k % 2 === 1) return { kind: 'adapter', id: `a${k}`, adapter: 'n-jack-to-n-jack', reversed: false };
  return {
    kind: 'assembly',
    id: `c${k}`,
    label: `Cable ${k}`,
    cable: k % 4 === 0 ? 'rg213' : 'c400',
    lengthM: 2 + k,
    a: { part: 'n-plug-crimp-10mm' },
    b: { part: 'n-plug-crimp-10mm' },
  };
});

const design: Design = {
  schema: 'kobran-design/1',
  name: 'Benchmark',
  service: {
    bands: [{ name: 'band', lowHz: 430e6, highHz: 440e6 }],
    powerW: 25,
    duty: 1,
    lossBudgetDb: 6,
    dcFeed: false,
    ambientC: 30,
  },
  radio: { name: 'Set', face: 'n-jack', handheld: false },
  antenna: { name: 'Aerial', face: 'n-plug', swr: 1.5, dcShort: true },
  pieces,
  legs: [{ id: 'leg', name: 'all of it', kind: 'indoor tray', zone: 'dry', lengthM: 40, slackM: 1 }],
};

const POINTS = 401;
const frequencies = Float64Array.from({ length: POINTS }, (_, k) => 420e6 + k * 75e3);
const elements = layOut(design, catalog, []).elements.map(({ element }) => element);
const load = { re: 75, im: 0 };

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
  }
}

const dot = (a: Complex, b: Complex, p: Complex, q: Complex): Complex =>
  c(add(multiply(a, b), multiply(p, q)));
const times = ([[a, b], [p, q]]: Matrix, [[e, f], [g, h]]: Matrix): Matrix => [
  [dot(a, e, b, g), dot(a, f, b, h)],
  [dot(p, e, q, g), dot(p, f, q, h)],
];

function sweepByMathjs(): number {
  let sum = 0;
  for (const hz of frequencies) {
    const [[a, b], [p, q]] = elements.map((element) => chain(element, hz)).reduce(times);
    const [v, i] = [c(add(a, divide(b, load.re))), c(add(p, divide(q, load.re)))];
    sum += c(divide(v, i)).re;
  }
  return sum;
}

describe('cascade of 12 pieces at 401 frequencies', () => {
  bench('mathjs complex matrices', () => void sweepByMathjs(), { time: 3000 });
  bench('Kobran sweep', () => void sweep(elements, load, frequencies), { time: 2000 });
  bench(
    'Kobran evaluate, the whole sheet',
    () => void evaluate(design, catalog, { practice: defaultPractice, sweepPoints: POINTS }),
    { time: 3000 },
  );
});
