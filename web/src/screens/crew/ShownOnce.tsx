import type { MadeCode } from '@kobran/contract';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { sayDay } from '../../ui/dates.js';

/** A code with its link and picture, which nobody can look up later. */
export function ShownOnce({ made, what }: { made: MadeCode; what: string }): ReactNode {
  const { code, link, qr, until } = made;
  const copy = (text: string): void =>
    void navigator.clipboard.writeText(text).then(
      () => toast('Copied.'),
      () => toast('The browser does not let it be copied: mark it and copy it by hand.'),
    );
  return (
    <div className="mt-3 grid gap-3">
      <p>
        {what} It is shown this once, and good until {sayDay(until)}.
      </p>
      {qr !== undefined && (
        <img
          className="justify-self-center rounded bg-white"
          src={qr}
          alt="The link as a QR code"
          width={264}
        />
      )}
      {link === undefined ? (
        <>
          <p className="text-caution">
            Phones cannot come in yet: start Kobran with KOBRAN_LISTEN first. The code stays good.
          </p>
          <p className="figures text-lg">{code}</p>
        </>
      ) : (
        <>
          <p className="figures break-all select-all">{link}</p>
          <p>
            <button className="button" onClick={() => copy(link)}>
              Copy the link
            </button>
          </p>
        </>
      )}
    </div>
  );
}
