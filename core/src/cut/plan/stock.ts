import type { Reel } from '../../catalog/index.js';

/** A length of cable somebody needs, with what its cutting costs. */
export interface WantedPiece {
  id: string;
  name: string;
  /** Id of the cable. */
  cable: string;
  /** From square cut to square cut, allowances in it, m. */
  lengthM: number;
  /** Pieces of one set come from one lot; empty for a piece on its own. */
  set: string;
  /** A lot it must come from; empty for any. */
  lot: string;
}

/** Where cable is taken from: what is left of reels first, then reels nobody has begun, then a reel to be bought. */
export type Source = 'offcut' | 'reel' | 'to buy';

/** A sound stretch of cable from which pieces are cut, m. */
export interface Span {
  /** The reel it is on; nothing for a reel to be bought. */
  reel: Reel | undefined;
  name: string;
  lot: string;
  source: Source;
  /** On the reel, from its outer end, m. */
  fromM: number;
  lengthM: number;
}

/** What a saw and a square cut take for each piece, m. Common practice, no source. */
export const SAW_M = 0.005;

/** The sound stretches of a reel: what is damaged lies between them. */
export function soundSpans(reel: Reel): Span[] {
  const spans: Span[] = [];
  let at = 0;
  const end = { fromM: reel.lengthM, toM: reel.lengthM };
  for (const { fromM, toM } of [...reel.damaged.toSorted((x, y) => x.fromM - y.fromM), end]) {
    if (fromM > at)
      spans.push({
        reel,
        name: reel.name,
        lot: reel.lot,
        source: reel.isNew ? 'reel' : 'offcut',
        fromM: at,
        lengthM: fromM - at,
      });
    at = Math.max(at, toM);
  }
  return spans;
}
