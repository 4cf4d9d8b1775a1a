import { hexDiesMm, type Practice } from '@kobran/core';
import type { ReactNode } from 'react';
import { Tick } from '../../ui/Tick.js';

/** The hex dies of the shop: an end which needs another one is said before its ferrule is on the cable. */
export function Dies({
  practice,
  onChange,
}: {
  practice: Practice;
  onChange: (change: Partial<Practice>) => void;
}): ReactNode {
  const owned = practice.diesMm ?? hexDiesMm;
  const all = [...new Set([...hexDiesMm, ...owned])].sort((a, b) => a - b);
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-muted">
        Hex dies we own, across flats
        {practice.diesMm ? '' : ' (not said yet: all are taken as owned)'}
      </legend>
      <div className="flex flex-wrap gap-x-5">
        {all.map((die) => (
          <Tick
            key={die}
            label={`${die} mm`}
            checked={owned.includes(die)}
            onChange={(on) =>
              onChange({
                diesMm: on ? [...owned, die].sort((a, b) => a - b) : owned.filter((one) => one !== die),
              })
            }
          />
        ))}
      </div>
    </fieldset>
  );
}
