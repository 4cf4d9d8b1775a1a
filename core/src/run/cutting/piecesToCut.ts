import type { Catalog } from '../../catalog/index.js';
import type { WantedPiece } from '../../cut/index.js';
import { assemblyOf } from '../design/lookups.js';
import type { Design } from '../design/design.js';
import { evaluate } from '../evaluate.js';
import type { Facts } from '../facts/kinds.js';
import type { Practice } from '../../practice/index.js';

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

/** Everything of a job that is still to be cut: lengths off the reel with their allowances. */
export const piecesToCut = (runs: readonly RunOfJob[], catalog: Catalog, practice: Practice): PieceToCut[] =>
  runs.flatMap(({ id: runId, design, facts }) =>
    evaluate(design, catalog, { facts, practice })
      .cuts.filter(({ done }) => !done)
      .map(({ pieceId, name, cable, cut }): PieceToCut => {
        const piece = assemblyOf(design, pieceId);
        return {
          id: `${runId} ${pieceId}`,
          name,
          cable: cable.id,
          lengthM: cut.value,
          set: piece.set ?? '',
          lot: piece.lot ?? '',
          runId,
          pieceId,
          runName: design.name,
        };
      }),
  );
