import { routes, type SignedInDevice } from '@kobran/contract';
import type { ReactNode } from 'react';
import { call } from '../../store/client.js';
import { sayMoment } from '../../ui/dates.js';
import { useCrewChange } from './useCrewChange.js';

/** Where somebody is signed in: one’s own devices, or for an owner all of them. */
export function Devices({
  devices,
  ofAll,
}: {
  devices: readonly SignedInDevice[];
  ofAll: boolean;
}): ReactNode {
  const { busy, change } = useCrewChange();
  return (
    <section className="mt-6" aria-labelledby="devices">
      <h2 id="devices" className="text-lg font-bold">
        {ofAll ? 'Devices signed in' : 'Your devices'}
      </h2>
      <p className="text-muted">
        {devices.length === 0
          ? 'None.'
          : 'A lost one is signed out here: it is shut out at once, and forgets what it kept when it next finds the server.'}
      </p>
      <ul className="mt-2 divide-y divide-rule border-y border-rule">
        {devices.map(({ id, name, device, since, seen, isThis, isViewer }) => (
          <li key={id} className="flex items-center gap-x-4 py-2">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{name}</span> on {device}
              {isThis && ', this one'}
              {isViewer && <span className="text-muted">, by a customer’s link</span>}
              <span className="block text-sm text-muted">
                since {sayMoment(since)}, last seen {sayMoment(seen)}
              </span>
            </span>
            {!isThis && (
              <button
                className="button"
                disabled={busy}
                onClick={() => change(() => call(routes.removeDevice, { id }))}
              >
                Sign out
                <span className="sr-only">
                  {' '}
                  {device} of {name}
                </span>
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
