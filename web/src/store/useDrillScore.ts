import { isObject, type DrillScore } from '@kobran/core';
import { useEffect, useState } from 'react';
import { keep, keptMembers } from '../ui/browserStore.js';

/** Lines which are none are left out: a score of before, or somebody else's text. */
const kept = (key: string): DrillScore =>
  Object.fromEntries(
    Object.entries(keptMembers(key)).filter(
      (line): line is [string, DrillScore[string]] => isObject(line[1]) && typeof line[1].asked === 'number',
    ),
  );

/** A score of drills or rehearsals, kept at this device. */
export function useDrillScore(key: string): [DrillScore, (score: DrillScore) => void] {
  const [score, setScore] = useState(() => kept(key));
  useEffect(() => keep(key, score), [key, score]);
  return [score, setScore];
}

/** A number nobody has seen before, to draw a question or hide a fault with. */
export const freshSeed = (): number => 1 + (crypto.getRandomValues(new Uint32Array(1))[0] & 0x7ffffffe);
