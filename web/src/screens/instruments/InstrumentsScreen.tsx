import { useEffect, type ReactNode } from 'react';
import { messageOf } from '../../store/client.js';
import { useInstruments, type Instruments } from '../../store/useInstruments.js';
import { TopBar } from '../../frame/TopBar.js';
import { BenchSection } from './BenchSection.js';
import { InstrumentList } from './InstrumentList.js';
import { ReadNow } from './ReadNow.js';

/** The simulated bench, and real instruments by their address. */
export function InstrumentsScreen(): ReactNode {
  const instruments = useInstruments();
  useEffect(() => {
    document.title = 'Instruments – Kobran';
  }, []);
  return (
    <div className="min-h-screen">
      <TopBar crumbs={[{ label: 'Board', to: '/' }, { label: 'Instruments' }]} />
      <main className="mx-auto max-w-6xl px-4 py-4">
        <h1 className="text-xl font-bold">{headline(instruments)}</h1>
        <p className="mt-1 max-w-3xl text-muted">
          An analyser, a pair of power meters and an ohm-meter can be asked from here, from Cut and from
          Prove. Without any, the simulated bench behaves like real ones: noise, calibration, and work which
          may be sound or not.
        </p>
        {instruments.document && (
          <>
            <BenchSection instruments={instruments} />
            <ReadNow instruments={instruments} />
            <InstrumentList instruments={instruments} />
          </>
        )}
      </main>
    </div>
  );
}

function headline({ document, error }: Instruments): string {
  if (!document) return error ? messageOf(error) : 'Looking for instruments…';
  const { bench, instruments } = document;
  const real = instruments.filter(({ simulated }) => !simulated).length;
  const connected = real === 0 ? '' : `${real} connected; `;
  if (!bench) return real > 0 ? `${connected}the simulated bench is empty` : 'The simulated bench is empty';
  return `${connected === '' ? 'On' : `${connected}on`} the simulated bench: ${bench.runName}`;
}
