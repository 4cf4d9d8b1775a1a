import { hexDiesMm } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePractice } from '../../runs/usePractice.js';
import { Tick } from '../../shell/Tick.js';

/** The hex dies of the shop: an end which needs another one is said before its ferrule is on the cable. */
export function Dies(): ReactNode {
  const [practice, set] = usePractice();
  const owned = practice.diesMm ?? hexDiesMm;
  const all = [...new Set([...hexDiesMm, ...owned])].sort((a, b) => a - b);
  return (
    <details className="mt-4">
      <summary className="cursor-pointer text-muted">
        Hex dies we own{' '}
        {practice.diesMm
          ? `(${practice.diesMm.length} of ${all.length})`
          : '(not said yet: all are taken as owned)'}
      </summary>
      <fieldset className="mt-2 flex flex-wrap gap-x-5">
        <legend className="sr-only">Across flats</legend>
        {all.map((die) => (
          <Tick
            key={die}
            label={`${die} mm`}
            checked={owned.includes(die)}
            onChange={(on) =>
              set({ diesMm: on ? [...owned, die].sort((a, b) => a - b) : owned.filter((one) => one !== die) })
            }
          />
        ))}
      </fieldset>
    </details>
  );
}
