import { routes } from '@kobran/contract';
import { bothEnds, farEndNames, type Expectation } from '@kobran/core';
import type { ReactNode } from 'react';
import { call } from '../../store/client.js';
import { useDoing, useInstruments } from '../../store/useInstruments.js';
import { useOpenRun } from '../../store/RunContext.js';

/** Loss is read at a power that hurts nothing, W. */
const LOW_W = 5;

/** Takes a reading from the instrument instead of by hand, when this assembly lies before it. */
export function ReadIt({
  pieceId,
  expectation: { id, test, far, frequencyHz },
}: {
  pieceId: string;
  expectation: Pick<Expectation, 'id' | 'test' | 'far' | 'frequencyHz'>;
}): ReactNode {
  const { writer, id: runId } = useOpenRun();
  const instruments = useInstruments();
  const { busy, run } = useDoing();
  const meter = instruments.first(test === 'insertion loss' ? 'power-meters' : 'multimeter');
  const bench = instruments.document?.bench;
  // A simulated instrument measures what lies on its bench, and that must be this piece.
  if (!meter || (meter.simulated && (bench?.runId !== runId || bench.pieceId !== pieceId))) return null;
  const read = async (): Promise<number | null> => {
    if (meter.simulated) await instruments.touch({ far: far });
    if (frequencyHz === undefined) return (await call(routes.readOhm, { id: meter.id })).ohm;
    const power = await call(routes.readPower, { id: meter.id, body: { frequencyHz, powerW: LOW_W } });
    return bothEnds({ ...power, frequencyHz }).lossDb ?? null;
  };
  return (
    <button
      className="mt-1 min-h-9 text-left text-sm underline underline-offset-4 hover:decoration-2"
      disabled={busy !== undefined}
      onClick={() =>
        run('reading', async () =>
          writer.add({ kind: 'reading', pieceId, expectation: id, value: await read() }),
        )
      }
    >
      {busy ? 'Reading…' : `Read, with ${farEndNames[far]} on the far end`}
    </button>
  );
}
