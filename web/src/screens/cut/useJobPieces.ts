import { assembliesOf, type Assembly, type Facts } from '@kobran/core';
import { useJob } from '../../store/queries.js';
import { useOpenRun } from '../../store/RunContext.js';

/** An assembly of the job with what was done to it. */
export interface JobPiece {
  runId: string;
  runName: string;
  piece: Assembly;
  facts: Facts;
}

/** Every assembly of the job; this run’s as it stands here and now. */
export function useJobPieces(): JobPiece[] {
  const { id, jobId, editor, facts } = useOpenRun();
  const { data: job } = useJob(jobId);
  const runs = (job?.runs ?? []).map((run) =>
    run.id === id
      ? { id, design: editor.design, facts }
      : { id: run.id, design: run.design, facts: run.facts },
  );
  return runs.flatMap(({ id: runId, design, facts: done }) =>
    assembliesOf(design).map((piece) => ({ runId, runName: design.name, piece, facts: done })),
  );
}
