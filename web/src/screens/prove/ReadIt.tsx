import type { MeasuredPower } from '@kobran/contract';
import { bothEnds, farEndNames, type Expectation, type FarEndKind } from '@kobran/core';
import type { ReactNode } from 'react';
import { ask } from '../../store/client.js';
import { useDoing, useInstruments } from '../../store/useInstruments.js';
import { useOpenRun } from '../../store/RunContext.js';

/** What has to be on the far end for each test. */
const farOf: Record<Expectation['test'], FarEndKind> = {
  'loop resistance': 'short',
  insulation: 'open',
  'insertion loss': 'load',
};
/** Loss is read at a power that hurts nothing, W. */
const LOW_W = 5;

/** Takes a reading from the instrument instead of by hand, when this assembly lies before it. */
export function ReadIt({
  pieceId,
  expectation: { id, test },
}: {
  pieceId: string;
  expectation: Pick<Expectation, 'id' | 'test'>;
}): ReactNode {
  const { writer, id: runId } = useOpenRun();
  const instruments = useInstruments();
  const { busy, run } = useDoing();
  const meter = instruments.first(test === 'insertion loss' ? 'power-meters' : 'multimeter');
  const bench = instruments.document?.bench;
  // A simulated instrument measures what lies on its bench, and that must be this piece.
  if (!meter || (meter.simulated && (bench?.runId !== runId || bench.pieceId !== pieceId))) return null;
  const read = async (): Promise<number | null> => {
    if (meter.simulated) await instruments.touch({ far: farOf[test] });
    const path = `/api/instruments/${meter.id}`;
    if (test !== 'insertion loss') {
      const { ohm } = await ask<{ ohm: number | null }>('POST', `${path}/ohm`);
      return ohm;
    }
    const frequencyHz = Number(id.split('@')[1]);
    const power = await ask<MeasuredPower>('POST', `${path}/power`, { frequencyHz, powerW: LOW_W });
    return bothEnds({ ...power, frequencyHz }).lossDb ?? null;
  };
  return (
    <button
      className="mt-1 min-h-9 text-left text-sm underline underline-offset-4 hover:text-copper"
      disabled={busy !== undefined}
      onClick={() =>
        run('reading', async () => writer.addReading({ pieceId, expectation: id, value: await read() }))
      }
    >
      {busy ? 'Reading…' : `Read it, with ${farEndNames[farOf[test]]} on the far end`}
    </button>
  );
}
