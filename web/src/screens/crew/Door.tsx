import { pathOf, routes, type CrewDoor } from '@kobran/contract';
import type { ReactNode } from 'react';

/** May be broken behind each colon, and nowhere else. */
const breakable = (fingerprint: string): string => fingerprint.replaceAll(':', ':\u200b');

/** How phones and laptops come in. */
export function Door({ door }: { door: CrewDoor }): ReactNode {
  if (door.kind === 'open')
    return (
      <div className="mt-1 max-w-3xl">
        <p>
          Phones and laptops come in at <strong className="figures break-all">{door.address}</strong>
        </p>
        {door.fingerprint !== undefined && (
          <p className="text-muted">
            Kobran made its own certificate, so browsers ask once. Go on only if they show this fingerprint
            (SHA-256):
            <code className="figures block">{breakable(door.fingerprint)}</code>A phone that trusts{' '}
            <a className="underline underline-offset-4" href={pathOf(routes.readCertificate)} download>
              this certificate
            </a>{' '}
            asks no more, and keeps Kobran for work without a network.
          </p>
        )}
      </div>
    );
  return (
    <p className="mt-1 max-w-3xl text-muted">
      {door.kind === 'waiting'
        ? 'In a moment phones and laptops can come in: the door opens by itself.'
        : 'Kobran answers on this machine only. To let phones and laptops in, start it with KOBRAN_LISTEN and the address of this machine; see Deployment in the documentation.'}
    </p>
  );
}
