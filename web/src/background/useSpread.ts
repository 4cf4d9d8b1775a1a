import type { Design, RunSpread } from '@kobran/core';
import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { useShop } from '../store/Shop.js';
import type { Background } from './background.worker.js';
import { openBackground } from './openBackground.js';

/** How often a run is built, and the seed by which it always comes out the same. */
const DRAWS = 400;
const SEED = 1;
/** Nobody reads it while a piece is dragged. */
const QUIET_MS = 350;

let shared: Remote<Background> | undefined;
const worker = (): Remote<Background> => (shared ??= wrap<Background>(openBackground()));

/** What many runs come out at, or why that is not known. */
export type KnownSpread = { spread: RunSpread } | { why: string };

/** What many runs built from a design come out at; nothing while it is worked out. */
export function useSpread(design: Design): KnownSpread | undefined {
  const { own } = useShop();
  const [known, setKnown] = useState<{ design: Design; outcome: KnownSpread }>();
  useEffect(() => {
    let over = false;
    const timer = setTimeout(() => {
      worker()
        .spread(design, own, DRAWS, SEED)
        .then((spread) => {
          if (!over) setKnown({ design, outcome: { spread } });
        })
        .catch((error: unknown) => {
          if (!over) setKnown({ design, outcome: { why: String(error) } });
        });
    }, QUIET_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [design, own]);
  return known?.design === design ? known.outcome : undefined;
}
