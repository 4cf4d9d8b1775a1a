import { besideKinds, parseDegrees, type Beside } from '@kobran/core';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { QuantityField } from '../../ui/QuantityField.js';

/** What runs beside a way, or crosses it. */
export function BesideFields({
  beside,
  onChange,
}: {
  beside: readonly Beside[];
  onChange: (beside: Beside[]) => void;
}): ReactNode {
  const put = (k: number, next: Beside): void => onChange(beside.map((one, n) => (n === k ? next : one)));
  return (
    <fieldset>
      <legend className="text-sm text-muted">What runs beside it or crosses it</legend>
      <ul className="space-y-2">
        {beside.map((one, k) => {
          const { crossingDegrees: _, ...along } = one;
          return (
            <li
              key={k}
              aria-label={`Neighbour ${k + 1}`}
              className="grid grid-cols-[1.3fr_1fr_1fr_auto] items-end gap-2"
            >
              <Choice
                label="What"
                value={one.what}
                options={besideKinds.map((kind) => ({ value: kind, label: kind }))}
                onChange={(what) => put(k, { ...one, what: what as Beside['what'] })}
              />
              <LengthField
                label="Distance"
                valueM={one.distanceMm / 1000}
                onChange={(metres) => put(k, { ...one, distanceMm: metres * 1000 })}
              />
              <QuantityField
                label="Crosses at"
                value={one.crossingDegrees}
                placeholder="along it"
                format={(value) => `${value}°`}
                parse={parseDegrees}
                onChange={(crossingDegrees) => put(k, { ...one, crossingDegrees })}
                onClear={() => put(k, along)}
              />
              <button
                className="button px-2"
                aria-label={`Delete neighbour ${k + 1}`}
                onClick={() => onChange(beside.filter((__, n) => n !== k))}
              >
                <Trash2 size={16} aria-hidden />
              </button>
            </li>
          );
        })}
      </ul>
      <button
        className="button mt-2"
        onClick={() => onChange([...beside, { what: 'mains', distanceMm: 300 }])}
      >
        <Plus size={16} aria-hidden /> Add a neighbour
      </button>
    </fieldset>
  );
}
