import { routes, type CalibrationStep, type KnownInstrument, type SweepSetup } from '@kobran/contract';
import { Check } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { call } from '../store/client.js';
import { useDoing } from '../store/useInstruments.js';

const onePort: CalibrationStep[] = ['open 1', 'short 1', 'load 1'];
const twoPorts: CalibrationStep[] = [...onePort, 'open 2', 'short 2', 'load 2', 'through'];

const stepNames: Record<CalibrationStep, string> = {
  'open 1': 'Open is on',
  'short 1': 'Short is on',
  'load 1': 'Load is on',
  'open 2': 'Open, port 2',
  'short 2': 'Short, port 2',
  'load 2': 'Load, port 2',
  through: 'Ports are joined',
  save: 'Use it',
};

/** The standards one after the other; after the last the calibration is put to use. */
export function Calibrate({
  analyser,
  setup,
  onDone,
}: {
  analyser: KnownInstrument;
  setup: SweepSetup;
  onDone?: () => void;
}): ReactNode {
  const [taken, setTaken] = useState<readonly CalibrationStep[]>([]);
  const { busy, run } = useDoing();
  const steps = setup.ports === 2 ? twoPorts : onePort;
  const next = steps.find((step) => !taken.includes(step));
  const send = (step: CalibrationStep): Promise<void> =>
    call(routes.calibrateInstrument, { id: analyser.id, body: { step, setup } });
  return (
    <div>
      <ol className="flex flex-wrap gap-2">
        {steps.map((step) => (
          <li key={step}>
            <button
              className={`button min-h-11 ${step === next ? 'button-primary' : ''}`}
              disabled={busy !== undefined}
              onClick={() =>
                run(stepNames[step], async () => {
                  await send(step);
                  const now = [...taken, step];
                  setTaken(now);
                  if (steps.some((one) => !now.includes(one))) return;
                  await send('save');
                  onDone?.();
                })
              }
            >
              {taken.includes(step) && <Check size={16} aria-hidden />}
              {stepNames[step]}
              {taken.includes(step) && <span className="sr-only">, taken</span>}
            </button>
          </li>
        ))}
      </ol>
      <p role="status" className="mt-1 text-sm text-muted">
        {busy
          ? `Measuring: ${busy}…`
          : next
            ? `At the reference plane, screw on what the button says, then press it. ${analyser.simulated ? 'On the simulated bench it is at hand.' : ''}`
            : 'Calibrated for this sweep; a change of the sweep asks for it again.'}
      </p>
    </div>
  );
}
