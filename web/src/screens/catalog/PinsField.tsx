import { parseLength, ok, type PinBore, type Result } from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { QuantityField } from '../../ui/QuantityField.js';

const MAX_PINS = 4;

const parse = (text: string): Result<number> => {
  const read = parseLength(text, { unit: 'mm' });
  return read.ok ? ok(Number((read.value * 1000).toFixed(4))) : read;
};
const format = (mm: number): string => `${mm} mm`;

/** The pins in the bag: bore, depth, and what conductor each is made for. */
export function PinsField({
  pins,
  problem,
  onChange,
}: {
  pins: readonly PinBore[];
  problem: string | undefined;
  onChange: (pins: PinBore[]) => void;
}): ReactNode {
  const set = (k: number, change: Partial<PinBore>): void =>
    onChange(pins.map((pin, at) => (at === k ? { ...pin, ...change } : pin)));
  return (
    <fieldset className="sm:col-span-2">
      <legend className="font-semibold">Pins in the bag</legend>
      {pins.map((pin, k) => (
        <div key={k} className="mt-2 grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
          <QuantityField
            label={`Bore of pin ${k + 1}`}
            value={pin.boreMm}
            format={format}
            parse={parse}
            onChange={(boreMm) => set(k, { boreMm })}
          />
          <QuantityField
            label="Depth"
            value={pin.depthMm}
            format={format}
            parse={parse}
            onChange={(depthMm) => set(k, { depthMm })}
          />
          <Choice
            label="Made for"
            value={pin.made}
            options={['solid', 'stranded', 'either'].map((made) => ({ value: made, label: made }))}
            onChange={(made) => set(k, { made: made as PinBore['made'] })}
          />
          <button
            className="button"
            aria-label={`Take pin ${k + 1} out`}
            disabled={pins.length === 1}
            onClick={() => onChange(pins.filter((_, at) => at !== k))}
          >
            <Trash2 size={16} aria-hidden />
          </button>
        </div>
      ))}
      {problem && (
        <p role="alert" className="mt-1 text-sm text-stop">
          {problem}
        </p>
      )}
      {pins.length < MAX_PINS && (
        <button
          className="button mt-2"
          onClick={() => onChange([...pins, { boreMm: 2, depthMm: 5, made: 'either' }])}
        >
          <Plus size={16} aria-hidden /> Another pin
        </button>
      )}
    </fieldset>
  );
}
