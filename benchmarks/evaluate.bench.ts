import {
  adapterChains,
  catalog,
  defaultPractice,
  easyNeeds,
  evaluate,
  faceOf,
  noFacts,
  rememberingCascade,
  sweep,
  type Design,
} from '@kobran/core';
import { bench, describe } from 'vitest';
import { designOf, elementsOf, grid, load } from './aLongRun.js';
import { sweepByMathjs } from './byMathjs.js';

/** Another cable by some centimetres, each turn the next. Target: under 4 ms for 20 pieces at 801 frequencies. */
function withOneChanged(design: Design, turn: number): Design {
  const cables = design.pieces.filter(({ kind }) => kind === 'assembly');
  const { id } = cables[turn % cables.length];
  const byM = 0.01 * (1 + (turn % 7));
  return {
    ...design,
    pieces: design.pieces.map((piece) =>
      piece.kind === 'assembly' && piece.id === id ? { ...piece, lengthM: piece.lengthM + byM } : piece,
    ),
  };
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
    const state = { facts: noFacts, practice: defaultPractice, sweepPoints: points };
    bench('Kobran evaluate, the whole sheet', () => void evaluate(design, catalog, state), { time: 3000 });
    const remembering = { ...state, cascade: rememberingCascade() };
    let turn = 0;
    bench(
      'Kobran evaluate, the whole sheet after the change of one piece',
      () => void evaluate(withOneChanged(design, turn++), catalog, remembering),
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
