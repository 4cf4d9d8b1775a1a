import type { DrillScore } from '@kobran/core';
import { useEffect, useState } from 'react';

function kept(key: string): DrillScore {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as DrillScore;
  } catch {
    return {}; // Somebody else’s text under our key: start afresh.
  }
}

/** A score of drills or rehearsals, kept at this device. */
export function useDrillScore(key: string): [DrillScore, (score: DrillScore) => void] {
  const [score, setScore] = useState(() => kept(key));
  useEffect(() => localStorage.setItem(key, JSON.stringify(score)), [key, score]);
  return [score, setScore];
}

/** A number nobody has seen before, to draw a question or hide a fault with. */
export const freshSeed = (): number => 1 + (crypto.getRandomValues(new Uint32Array(1))[0] & 0x7ffffffe);
