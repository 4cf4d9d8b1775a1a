import { parseDegrees, type WayBend } from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { LengthField, RunLengthField } from '../../ui/LengthField.js';
import { QuantityField } from '../../ui/QuantityField.js';

/** The bends of a way: where, how far round, and how tight. */
export function Bends({
  bends,
  lengthM,
  onChange,
}: {
  bends: readonly WayBend[];
  lengthM: number;
  onChange: (bends: WayBend[]) => void;
}): ReactNode {
  const put = (k: number, over: Partial<WayBend>): void =>
    onChange(bends.map((bend, n) => (n === k ? { ...bend, ...over } : bend)));
  return (
    <fieldset>
      <legend className="text-sm text-muted">Bends</legend>
      <ol className="space-y-2">
        {bends.map(({ atM, degrees, radiusMm }, k) => (
          <li
            key={k}
            aria-label={`Bend ${k + 1}`}
            className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2"
          >
            <RunLengthField
              allowZero
              label="At"
              valueM={atM}
              onChange={(metres) => put(k, { atM: metres })}
            />
            <QuantityField
              label="Angle"
              value={degrees}
              format={(value) => `${value}°`}
              parse={parseDegrees}
              onChange={(value) => put(k, { degrees: value })}
            />
            <LengthField
              label="Radius"
              valueM={radiusMm / 1000}
              onChange={(metres) => put(k, { radiusMm: Math.max(1, metres * 1000) })}
            />
            <button
              className="button px-2"
              aria-label={`Delete bend ${k + 1}`}
              onClick={() => onChange(bends.filter((_, n) => n !== k))}
            >
              <Trash2 size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ol>
      <button
        className="button mt-2"
        onClick={() =>
          onChange([...bends, { atM: Number((lengthM / 2).toFixed(2)), degrees: 90, radiusMm: 300 }])
        }
      >
        <Plus size={16} aria-hidden /> Add a bend
      </button>
    </fieldset>
  );
}
