import type { SweepSetup } from '@kobran/contract';
import { useState } from 'react';
import { keep, keptMembers, likeUsual } from '../ui/browserStore.js';

const KEY = 'kobran.sweep';
const usual: SweepSetup = { startHz: 5e6, stopHz: 600e6, points: 801, averages: 4, ports: 1 };

/** How this device’s analyser sweeps; remembered, since a calibration holds for it alone. */
export function useSweepSetup(): [SweepSetup, (change: Partial<SweepSetup>) => void] {
  const [setup, setSetup] = useState<SweepSetup>(() => likeUsual(usual, keptMembers(KEY)));
  return [
    setup,
    (change) => {
      const next = { ...setup, ...change };
      keep(KEY, next);
      setSetup(next);
    },
  ];
}
