import type { Design, RunSpread, ShopEntry } from '@kobran/core';
import { useEffect } from 'react';
import { useBackground, type Job } from './useBackground.js';

/** How often a run is built, and the seed by which it always comes out the same. */
const DRAWS = 400;
const SEED = 1;
/** Nobody reads it while a piece is dragged. */
const QUIET_MS = 350;

interface SpreadWish {
  design: Design;
  own: readonly ShopEntry[];
}

/** What many runs come out at, or why that is not known. */
export type SpreadOutcome = { spread: RunSpread } | { why: string };

const build: Job<never, { design: Design; spread: RunSpread }, SpreadWish> = async (
  worker,
  { design, own },
) => ({
  design,
  spread: await worker.spread(design, own, DRAWS, SEED),
});

/** What many runs built from a design come out at; nothing while it is worked out. */
export function useSpread(design: Design, own: readonly ShopEntry[]): SpreadOutcome | undefined {
  const { state, start } = useBackground(build);
  useEffect(() => {
    const timer = setTimeout(() => start({ design, own }), QUIET_MS);
    return () => clearTimeout(timer);
  }, [design, own, start]);
  if (state.kind === 'failed') return { why: state.why };
  return state.kind === 'done' && state.answer.design === design
    ? { spread: state.answer.spread }
    : undefined;
}
