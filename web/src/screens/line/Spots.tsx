import { fail, formatLength, parseLength, type Assembly, type Spot } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';
import { LengthField } from '../../ui/LengthField.js';
import { QuantityField } from '../../ui/QuantityField.js';
import { OhmField } from '../../ui/unitFields.js';

/** A crush of a hand’s width. */
const NEW_SPOT = { lengthM: 0.05, ohm: 35 };

/** Known spots of a cable whose impedance is not its own: a crush, a kink, a bend too sharp. */
export function Spots({ piece, set }: { piece: Assembly; set: (piece: Assembly) => void }): ReactNode {
  const { units } = usePreferences();
  const spots = piece.spots ?? [];
  const put = (to: Spot[]): void => {
    const { spots: _, ...plain } = piece;
    set(to.length === 0 ? plain : { ...plain, spots: to });
  };
  const change = (k: number, over: Partial<Spot>): void =>
    put(spots.map((spot, n) => (n === k ? { ...spot, ...over } : spot)));
  return (
    <details open={spots.length > 0}>
      <summary className="cursor-pointer text-sm text-muted">
        Crushed or kinked spots ({spots.length})
      </summary>
      {spots.map((spot, k) => (
        <div key={k} className="mt-2 grid grid-cols-3 items-end gap-2">
          <QuantityField
            label="At"
            value={spot.atM}
            format={(metres) => formatLength(metres, { system: units, digits: 2 })}
            parse={(text) => {
              const read = parseLength(text, { unit: units === 'metric' ? 'm' : 'ft', allowZero: true });
              return !read.ok || read.value < piece.lengthM
                ? read
                : fail(
                    'spot.beyond',
                    'That is beyond the end of this cable.',
                    'spot',
                    'Measure from the radio end.',
                  );
            }}
            onChange={(atM) => change(k, { atM })}
          />
          <LengthField label="Long" valueM={spot.lengthM} onChange={(lengthM) => change(k, { lengthM })} />
          <OhmField label="Impedance" value={spot.ohm} onChange={(ohm) => change(k, { ohm })} />
          <button
            className="col-span-3 justify-self-start text-sm underline underline-offset-4 hover:decoration-2"
            onClick={() => put(spots.filter((_, n) => n !== k))}
          >
            Mark as mended
          </button>
        </div>
      ))}
      <button
        className="mt-2 text-sm underline underline-offset-4 hover:decoration-2"
        onClick={() => put([...spots, { ...NEW_SPOT, atM: piece.lengthM / 2 }])}
      >
        Add a spot
      </button>
    </details>
  );
}
