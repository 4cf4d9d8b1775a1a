import { routes, type KnownInstrument, type MeasuredPower } from '@kobran/contract';
import { bothEnds, formatDecibels, formatPower, formatResistance } from '@kobran/core';
import { useEffect, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { call, messageOf } from '../../store/client.js';
import { Calibrate } from '../../frame/Calibrate.js';
import { SweepFields } from '../../frame/SweepFields.js';
import { useSweepSetup } from '../../store/useSweepSetup.js';
import { useDoing, type Instruments } from '../../store/useInstruments.js';
import { soundResistance } from '../../ui/sound.js';
import { Caution } from '../../ui/StagePage.js';
import { FrequencyField, PowerField } from '../../ui/unitFields.js';

/** What the instruments show now, and the calibration of the analyser. */
export function ReadNow({ instruments }: { instruments: Instruments }): ReactNode {
  const [analyser, ohmMeter, power] = (['analyser', 'multimeter', 'power-meters'] as const).map(
    instruments.first,
  );
  return (
    <>
      {(ohmMeter ?? power) && (
        <div className="mt-6 grid gap-x-8 gap-y-6 md:grid-cols-2">
          {ohmMeter && <OhmMeter meter={ohmMeter} />}
          {power && <Power meters={power} />}
        </div>
      )}
      {analyser && <Analyser key={analyser.id} analyser={analyser} />}
    </>
  );
}

/** Between two readings of a meter which is listened to, ms. */
const LISTEN_MS = 300;

function OhmMeter({ meter }: { meter: KnownInstrument }): ReactNode {
  const { busy, run } = useDoing();
  const [ohm, setOhm] = useState<number | null>();
  const [listening, setListening] = useState(false);
  const { id } = meter;
  useEffect(() => {
    if (!listening) return undefined;
    let timer: ReturnType<typeof setTimeout>;
    let over = false;
    const read = async (): Promise<void> => {
      try {
        const shown = await call(routes.readOhm, { id });
        if (over) return;
        setOhm(shown.ohm);
        soundResistance(shown.ohm ?? Infinity);
        timer = setTimeout(() => void read(), LISTEN_MS);
      } catch (error) {
        if (over) return;
        setListening(false);
        toast.error(messageOf(error));
      }
    };
    void read();
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [listening, id]);
  return (
    <section aria-labelledby="ohm">
      <h2 id="ohm" className="text-lg font-bold">
        Pin to shell, near end
      </h2>
      <p className="figures mt-1 text-2xl" role="status" aria-live={listening ? 'off' : 'polite'}>
        {ohm === undefined ? '—' : formatResistance(ohm ?? Infinity)}
      </p>
      <p className="mt-2 flex flex-wrap gap-2">
        <button
          className="button button-primary"
          disabled={busy !== undefined || listening}
          onClick={() =>
            run('reading', async () => {
              const read = await call(routes.readOhm, { id });
              setOhm(read.ohm);
            })
          }
        >
          Read
        </button>
        <button className="button" aria-pressed={listening} onClick={() => setListening(!listening)}>
          {listening ? 'Stop listening' : 'Listen while flexing'}
        </button>
        <button
          className="button"
          disabled={busy !== undefined || listening}
          onClick={() => run('zeroing', () => call(routes.zeroInstrument, { id }))}
        >
          Zero the leads
        </button>
      </p>
      <p className="mt-1 text-sm text-muted">
        Listening reads again and again: a high tone is a short, silence is open, a tone that jumps is a loose
        contact.
      </p>
    </section>
  );
}

function Power({ meters }: { meters: KnownInstrument }): ReactNode {
  const { busy, run } = useDoing();
  const [frequencyHz, setFrequency] = useState(145e6);
  const [powerW, setPower] = useState(5);
  const [read, setRead] = useState<MeasuredPower>();
  return (
    <section aria-labelledby="power">
      <h2 id="power" className="text-lg font-bold">
        Power at both ends
      </h2>
      <p className="figures mt-1 text-lg" role="status">
        {read ? sayPowers({ ...read, frequencyHz }) : '—'}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-36">
          <FrequencyField label="At" value={frequencyHz} onChange={setFrequency} />
        </div>
        <div className="w-28">
          <PowerField label="Forward" value={powerW} onChange={setPower} />
        </div>
        <button
          className="button button-primary min-h-9"
          disabled={busy !== undefined}
          onClick={() =>
            run('keying', async () =>
              setRead(await call(routes.readPower, { id: meters.id, body: { frequencyHz, powerW } })),
            )
          }
        >
          Transmit and read
        </button>
      </div>
      <div className="mt-2 text-sm">
        <Caution>
          Into a dummy load, nobody’s hand on a connector. It transmits while it reads, and stops by itself.
        </Caution>
      </div>
    </section>
  );
}

function sayPowers(step: MeasuredPower & { frequencyHz: number }): string {
  const { swr, lossDb } = bothEnds(step);
  const lost = lossDb === undefined ? '' : `: ${formatDecibels(lossDb)} lost`;
  return `${formatPower(step.forwardW)} forward, ${formatPower(step.reflectedW)} back (SWR ${swr.toFixed(2)}), ${formatPower(step.loadW)} in the load${lost}`;
}

function Analyser({ analyser }: { analyser: KnownInstrument }): ReactNode {
  const [setup, change] = useSweepSetup();
  return (
    <section className="mt-6" aria-labelledby="analyser">
      <h2 id="analyser" className="text-lg font-bold">
        Analyser
      </h2>
      <p className="mb-2 text-muted">
        Prove sweeps with this set-up. Calibrate where the cable will be connected: what an analyser shows
        before is its own bridge as much as your cable.
      </p>
      <SweepFields setup={setup} onChange={change} />
      <div className="mt-3">
        <Calibrate key={JSON.stringify(setup)} analyser={analyser} setup={setup} />
      </div>
    </section>
  );
}
