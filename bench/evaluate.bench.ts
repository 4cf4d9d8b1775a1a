import { add, complex, cosh, divide, multiply, sinh, type Complex, type MathType } from 'mathjs';
import { bench, describe } from 'vitest';
import {
  adapterChains,
  catalog,
  defaultPractice,
  easyNeeds,
  evaluate,
  faceOf,
  sweep,
  type AnyPiece,
  type Design,
  type Element,
} from '@kobran/core';
import { layOut, attenuationNeper } from './insides.js';

/** A run of so many pieces: cables with adapters between them and an arrester. */
const piecesOf = (length: number): AnyPiece[] =>
  Array.from({ length }, (_, k): AnyPiece => {
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

const designOf = (count: number): Design => ({
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
  pieces: piecesOf(count),
  legs: [{ id: 'leg', name: 'all of it', kind: 'indoor tray', zone: 'dry', lengthM: 40, slackM: 1 }],
});

const grid = (points: number): Float64Array =>
  Float64Array.from({ length: points }, (_, k) => 420e6 + (k * 30e6) / (points - 1));
const elementsOf = (design: Design): Element[] =>
  layOut(design, catalog, []).elements.map(({ element }) => element);
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

function sweepByMathjs(elements: Element[], frequencies: Float64Array): number {
  let sum = 0;
  for (const hz of frequencies) {
    const [[a, b], [p, q]] = elements.map((element) => chain(element, hz)).reduce(times);
    const [v, i] = [c(add(a, divide(b, load.re))), c(add(p, divide(q, load.re)))];
    sum += c(divide(v, i)).re;
  }
  return sum;
}

for (const [count, points] of [
  [12, 401],
  [20, 801],
] as const) {
  const design = designOf(count);
  const elements = elementsOf(design);
  const frequencies = grid(points);
  describe(`cascade of ${count} pieces at ${points} frequencies`, () => {
    bench('mathjs complex matrices', () => void sweepByMathjs(elements, frequencies), { time: 3000 });
    bench('Kobran sweep', () => void sweep(elements, load, frequencies), { time: 2000 });
    bench(
      'Kobran evaluate, the whole sheet',
      () => void evaluate(design, catalog, { practice: defaultPractice, sweepPoints: points }),
      { time: 3000 },
    );
  });
}

describe('chains of adapters over the full catalogue', () => {
  const needs = { ...easyNeeds, topHz: 450e6, powerW: 10, most: 3 };
  bench('near: SMA jack to BNC plug', () => {
    adapterChains(faceOf('sma-jack'), faceOf('bnc-plug'), catalog.adapters, needs);
  });
  bench('far: FME jack to 7/16 plug', () => {
    adapterChains(faceOf('fme-jack'), faceOf('7-16-plug'), catalog.adapters, needs);
  });
  bench('impossible: bare pair to 4.3-10', () => {
    adapterChains(faceOf('pair-plug'), faceOf('43-10-plug'), catalog.adapters, needs);
  });
});
