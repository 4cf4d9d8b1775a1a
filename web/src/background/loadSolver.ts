import { highsSolver, type MilpSolver } from '@kobran/core';
import loadHighs, { type Highs } from 'highs';
import wasmUrl from 'highs/runtime?url';

/** What a worker’s page is told while a solution is proved. */
export interface Proving {
  found: number;
  bound: number;
}

/** Loads the solver of mixed-integer programs into a worker. */
export async function loadSolver(tell: (news: Proving) => void): Promise<MilpSolver> {
  const highs: Highs = await loadHighs({ locateFile: () => wasmUrl });
  return highsSolver(highs, (found, bound) => tell({ found, bound }));
}
