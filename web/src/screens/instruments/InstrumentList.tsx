import { routes, type InstrumentIdentity, type KnownInstrument } from '@kobran/contract';
import { fail, instrumentKinds, ok, type InstrumentKind } from '@kobran/core';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { call } from '../../store/client.js';
import { useDoing, type Instruments } from '../../store/useInstruments.js';
import { Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { TextField } from '../../ui/TextField.js';

const kindNames: Record<InstrumentKind, string> = {
  analyser: 'Analyser',
  'power-meters': 'Power meters',
  multimeter: 'Ohm-meter',
};
/** The port on which instruments usually listen for SCPI over a raw socket. */
const USUAL_PORT = 5025;

const sayIdentity = ({ maker, model, serial, version }: InstrumentIdentity): string =>
  `${maker} ${model}, serial ${serial}, version ${version}`;

/** Every instrument with its address, and a way to connect another. */
export function InstrumentList({ instruments }: { instruments: Instruments }): ReactNode {
  const all = instruments.document?.instruments ?? [];
  return (
    <section className="mt-6" aria-labelledby="known">
      <h2 id="known" className="text-lg font-bold">
        Connected
      </h2>
      {all.length === 0 ? (
        <p className="text-muted">
          Nothing yet: put something on the simulated bench, or connect a real one.
        </p>
      ) : (
        <ul className="mt-1 divide-y divide-rule border-y border-rule">
          {all.map((one) => (
            <Row key={one.id} instrument={one} instruments={instruments} />
          ))}
        </ul>
      )}
      <Connect instruments={instruments} />
    </section>
  );
}

function Row({
  instrument,
  instruments,
}: {
  instrument: KnownInstrument;
  instruments: Instruments;
}): ReactNode {
  const { id, kind, name, host, port, simulated } = instrument;
  const { busy, run } = useDoing();
  const [identity, setIdentity] = useState<string>();
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
      <span className="min-w-48 flex-1">
        <span className="font-semibold">{name}</span>{' '}
        <span className="text-muted">
          {simulated ? '' : `${kindNames[kind]}, `}
          <span className="figures">
            {host}:{port}
          </span>
        </span>
        {identity && (
          <span role="status" className="block text-sm text-lake">
            {identity}
          </span>
        )}
      </span>
      <button
        className="min-h-9 text-sm underline underline-offset-4 hover:decoration-2"
        disabled={busy !== undefined}
        aria-label={`Ask ${name} what it is`}
        onClick={() =>
          run('asking', async () => setIdentity(sayIdentity(await call(routes.identifyInstrument, { id }))))
        }
      >
        Ask what it is
      </button>
      {!simulated && (
        <button
          className="min-h-9 text-sm text-muted underline underline-offset-4 hover:text-stop"
          aria-label={`Forget ${name}`}
          onClick={() =>
            run('forgetting', async () => {
              await call(routes.forgetInstrument, { id });
              await instruments.again();
            })
          }
        >
          Forget
        </button>
      )}
    </li>
  );
}

function Connect({ instruments }: { instruments: Instruments }): ReactNode {
  const { busy, run } = useDoing();
  const [kind, setKind] = useState<InstrumentKind>('analyser');
  const [name, setName] = useState('Shop analyser');
  const [host, setHost] = useState('127.0.0.1');
  const [port, setPort] = useState(USUAL_PORT);
  const allowed = instruments.document?.allowedHosts ?? [];
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-bold">Connect one by its address</summary>
      <p className="mt-1 max-w-3xl text-muted">
        It must speak SCPI over TCP.{' '}
        {allowed.length === 0
          ? 'Only this machine is allowed; the operator opens other addresses with KOBRAN_INSTRUMENT_HOSTS.'
          : `Allowed besides this machine: ${allowed.join(', ')}.`}
      </p>
      <div className="mt-2 grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-[10rem_1fr_1fr_7rem_auto]">
        <Choice
          label="What it is"
          value={kind}
          options={instrumentKinds.map((value) => ({ value, label: kindNames[value] }))}
          onChange={(to) => setKind(to as InstrumentKind)}
        />
        <TextField label="Name" value={name} maxLength={60} onChange={setName} />
        <TextField label="Host" value={host} maxLength={100} onChange={setHost} />
        <QuantityField
          label="Port"
          value={port}
          format={String}
          parse={(text) => {
            const value = Number(text);
            return Number.isInteger(value) && value >= 1 && value <= 65_535
              ? ok(value)
              : fail('port', `${text} is not a port.`, 'port', 'Type a whole number from 1 to 65535.');
          }}
          onChange={setPort}
        />
        <button
          className="button button-primary min-h-9"
          disabled={busy !== undefined}
          onClick={() =>
            run('connecting', async () => {
              const identity = await call(routes.connectInstrument, {
                body: {
                  id: crypto.randomUUID(),
                  kind,
                  name,
                  host,
                  port,
                },
              });
              toast.success(`${name} answers: ${sayIdentity(identity)}.`);
              await instruments.again();
            })
          }
        >
          {busy ? 'Asking…' : 'Connect'}
        </button>
      </div>
    </details>
  );
}
