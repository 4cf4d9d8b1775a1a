import type { Catalog } from '../../catalog/index.js';
import type { WantedPiece } from '../../cut/index.js';
import { assemblyOf } from '../design/lookups.js';
import type { Design } from '../design/design.js';
import { evaluate } from '../evaluate.js';
import type { Facts } from '../facts/kinds.js';
import type { Practice } from '../../practice/index.js';
import { tapeM } from '../../quantity/index.js';

/** A run of a job with what was done to it. */
export interface RunOfJob {
  id: string;
  design: Design;
  facts: Facts;
}

/** A piece of a job still to be cut, with the run it is for. */
export interface PieceToCut extends WantedPiece {
  runId: string;
  pieceId: string;
  runName: string;
}

/** Everything of a job that is still to be cut: lengths off the reel with their allowances, as a tape gives them; several of the same each by itself. */
export const piecesToCut = (runs: readonly RunOfJob[], catalog: Catalog, practice: Practice): PieceToCut[] =>
  runs.flatMap(({ id: runId, design, facts }) =>
    evaluate(design, catalog, { facts, practice })
      .cuts.filter(({ done }) => !done)
      .flatMap(({ pieceId, name, cable, cut }) => {
        const { set = '', lot = '', count = 1 } = assemblyOf(design, pieceId);
        return Array.from({ length: count }, (_, k): PieceToCut => ({
          id: `${runId} ${pieceId}${count === 1 ? '' : ` ${k + 1}`}`,
          name: count === 1 ? name : `${name} ${k + 1}`,
          cable: cable.id,
          lengthM: tapeM(cut.value),
          set,
          lot,
          runId,
          pieceId,
          runName: design.name,
        }));
      }),
  );
