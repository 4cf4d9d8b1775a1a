import { cuttingPlan, highsSolver, type Reel, type WantedPiece } from '@kobran/core';
import type { Highs } from 'highs';
import { bench, describe } from 'vitest';

/** Target: 120 pieces from 25 reels proved or within 1 % in under 10 s. */
const { default: load } = (await import('highs')) as unknown as { default: () => Promise<Highs> };
const solve = highsSolver(await load());

const pieces = Array.from({ length: 120 }, (_, k): WantedPiece => ({
  id: `p${k}`,
  name: `piece ${k}`,
  cable: 'rg213',
  lengthM: 0.6 + ((k * 37) % 23) * 0.31,
  set: k < 12 ? `set ${Math.floor(k / 4)}` : '',
  lot: '',
}));
const reels = Array.from({ length: 25 }, (_, k): Reel => ({
  id: `r${k}`,
  name: `reel ${k}`,
  cable: 'rg213',
  lot: `lot ${k % 9}`,
  lengthM: k % 5 === 0 ? 50 : 4 + ((k * 53) % 19) * 1.7,
  isNew: k % 5 === 0,
  damaged: k % 7 === 0 ? [{ fromM: 2, toM: 2.3 }] : [],
}));

describe('cutting plan of 120 pieces from 25 reels, three sets among them', () => {
  bench(
    'proved, or with its gap',
    async () => {
      const { cables } = await cuttingPlan(pieces, reels, { usefulM: 0.5, buyM: 100, limitS: 9 }, solve);
      for (const { newCable, scrap, longest, totalM } of cables) {
        const gap = (one: typeof scrap): string =>
          one.proved ? 'proved' : `gap ${(((one.valueM - one.boundM) / totalM) * 100).toFixed(2)} %`;
        console.log(
          `new ${newCable.valueM} m ${gap(newCable)}; scrap ${scrap.valueM} m ${gap(scrap)}; longest remnant ${longest.valueM} m ${longest.proved ? 'proved' : `at most ${longest.boundM} m`}`,
        );
      }
    },
    { time: 0, iterations: 1, warmupIterations: 0, warmupTime: 0 },
  );
});
