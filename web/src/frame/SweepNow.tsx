import { routes, type MeasuredSweepData, type OnBench } from '@kobran/contract';
import { Radio } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { call } from '../store/client.js';
import { useDoing, useInstruments } from '../store/useInstruments.js';
import { useSweepSetup } from '../store/useSweepSetup.js';

/**
 * Sweeps what is connected to the analyser; without one, or with another run on the simulated bench, it leads to the bench.
 *
 * A real analyser does not know what is screwed to it, the simulated bench does: then `lying` says so.
 */
export function SweepNow({
  runId,
  pieceId,
  onSwept,
}: {
  runId: string;
  /** Empty for the whole run. */
  pieceId: string;
  onSwept: (measured: MeasuredSweepData, lying: OnBench | undefined) => void;
}): ReactNode {
  const instruments = useInstruments();
  const [setup] = useSweepSetup();
  const { busy, run } = useDoing();
  const analyser = instruments.first('analyser');
  const bench = instruments.document?.bench ?? undefined;
  const benchPage = `/instruments?run=${runId}&piece=${pieceId}`;
  if (!analyser || (analyser.simulated && bench?.runId !== runId))
    return (
      <Link className="button min-h-11" to={benchPage}>
        <Radio size={16} aria-hidden />{' '}
        {analyser ? 'Put it on the simulated bench' : 'Connect an analyser, or simulate one'}
      </Link>
    );
  return (
    <span className="flex items-center gap-3">
      <button
        className="button min-h-11"
        disabled={busy !== undefined}
        onClick={() =>
          run('sweeping', async () => {
            const measured = await call(routes.sweepInstrument, { id: analyser.id, body: setup });
            onSwept(measured, analyser.simulated ? bench : undefined);
          })
        }
      >
        <Radio size={16} aria-hidden /> {busy ? 'Sweeping…' : 'Sweep now'}
      </button>
      <Link className="text-sm underline underline-offset-4 hover:decoration-2" to={benchPage}>
        {analyser.name}
      </Link>
    </span>
  );
}
