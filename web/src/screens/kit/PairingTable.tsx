import { faceName, faceOf, formatFrequency, type Port } from '@kobran/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

export const pairingKey = (radio: Port, antenna: Port): string => `${radio.id}|${antenna.id}`;

interface Props {
  radios: readonly Port[];
  antennas: readonly Port[];
  meets: (radio: Port, antenna: Port) => boolean;
  dropped: ReadonlySet<string>;
  onToggle: (keys: readonly string[], on: boolean) => void;
}

/** Radios down, antennas across: which of them shall be joined. A pair whose bands do not meet has no box. */
export function PairingTable({ radios, antennas, meets, dropped, onToggle }: Props): ReactNode {
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Pairs to join">
      <table className="text-sm">
        <thead>
          <tr>
            <th scope="col" className="min-w-40 border-b-2 border-ink py-1 pr-3 text-left align-bottom">
              Radio \ antenna
            </th>
            {antennas.map((antenna) => (
              <th
                key={antenna.id}
                scope="col"
                className="min-w-20 border-b-2 border-ink px-2 py-1 align-bottom"
              >
                <PortName port={antenna} />
              </th>
            ))}
            <th scope="col" className="border-b-2 border-ink px-2 py-1 align-bottom font-normal text-muted">
              all
            </th>
          </tr>
        </thead>
        <tbody>
          {radios.map((radio) => {
            const row = antennas
              .filter((antenna) => meets(radio, antenna))
              .map((antenna) => pairingKey(radio, antenna));
            const allOn = row.every((key) => !dropped.has(key));
            return (
              <tr key={radio.id}>
                <th scope="row" className="border-b border-rule py-1 pr-3 text-left">
                  <PortName port={radio} />
                </th>
                {antennas.map((antenna) => {
                  const key = pairingKey(radio, antenna);
                  return (
                    <td key={antenna.id} className="border-b border-rule px-2 text-center">
                      {meets(radio, antenna) ? (
                        <input
                          type="checkbox"
                          className="size-6 accent-ink"
                          aria-label={`${radio.name} to ${antenna.name}`}
                          checked={!dropped.has(key)}
                          onChange={({ target }) => onToggle([key], target.checked)}
                        />
                      ) : (
                        <span title="Their bands do not meet" className="text-muted">
                          –
                        </span>
                      )}
                    </td>
                  );
                })}
                <td className="border-b border-rule px-2 text-center">
                  {row.length > 0 && (
                    <input
                      type="checkbox"
                      className="size-6 accent-ink"
                      aria-label={`${radio.name} to all`}
                      checked={allOn}
                      onChange={() => onToggle(row, !allOn)}
                    />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

function PortName({ port }: { port: Port }): ReactNode {
  return (
    <>
      <Link
        className="font-semibold underline decoration-rule underline-offset-4"
        to={`/catalog/port/${port.id}`}
      >
        {port.name}
      </Link>
      <span className="block font-normal text-muted">
        {faceName(faceOf(port.face))}, {formatFrequency(port.lowHz)}
      </span>
    </>
  );
}
