import { formatLength, lotVelocity, type LearnedLot } from '@kobran/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../ui/Preferences.js';

/** The velocity factor of a lot, and what it rests on. */
export function LotVelocity({ lot, name }: { lot: LearnedLot; name: string }): ReactNode {
  const factor = `${lot.velocityFactor.toFixed(4)} ± ${lot.sigma.toFixed(4)}`;
  if (name === '') return `Velocity factor ${factor}, the data sheet’s. Name the lot and it learns its own.`;
  if (lot.used.length === 0)
    return `Velocity factor ${factor}, the data sheet’s: this lot has no readings yet.`;
  const count = `${lot.used.length} ${lot.used.length === 1 ? 'reading' : 'readings'}`;
  const left = lot.outliers.length === 0 ? '' : `; ${lot.outliers.length} left out as outliers`;
  return `Velocity factor ${factor}, learned from ${count} of other pieces${left}.`;
}

/** What each piece of the lot has said; what was left out is told so. */
export function LotHistory({ lot }: { lot: LearnedLot }): ReactNode {
  const { units } = usePreferences();
  const all = [
    ...lot.used.map((one) => ({ ...one, out: false })),
    ...lot.outliers.map((one) => ({ ...one, out: true })),
  ];
  if (all.length === 0) return null;
  return (
    <details className="mt-2">
      <summary className="cursor-pointer text-sm text-muted">History of the lot</summary>
      <ul className="figures mt-1 text-sm">
        {all.map((one, k) => (
          <li key={k} className={one.out ? 'text-caution' : ''}>
            {one.piece}: {lotVelocity(one).toFixed(4)} from{' '}
            {formatLength(one.lengthM, { system: units, digits: 3 })}
            {one.out ? ', left out as an outlier' : ''}
          </li>
        ))}
      </ul>
    </details>
  );
}
