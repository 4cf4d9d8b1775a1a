import {
  adapterChains,
  catalog,
  defaultPractice,
  easyNeeds,
  evaluate,
  faceOf,
  noFacts,
  sweep,
} from '@kobran/core';
import { bench, describe } from 'vitest';
import { designOf, elementsOf, grid, load } from './aLongRun.js';
import { sweepByMathjs } from './byMathjs.js';

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
      () =>
        void evaluate(design, catalog, {
          facts: noFacts,
          practice: defaultPractice,
          sweepPoints: points,
        }),
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
