import type { Catalog, ShopKind } from '../catalog/index.js';
import type { Design, FarEndKind } from '../run/index.js';

/** What is clamped into the simulated bench: the document its instruments look at each time they measure. */

export const BENCH_SCHEMA = 'kobran-bench/1';

/** An entry of the shop’s own catalogue which the design names. */
export interface BenchEntry {
  kind: ShopKind;
  data: object;
}

/** What can be done with the device by hand, without naming the device. */
export interface BenchHands {
  /** What is on its far end. */
  far: FarEndKind;
  /** Water was poured over it. */
  rained: boolean;
  /** Somebody flexes it at its ends while the instruments look. */
  wiggled: boolean;
  /** While it is trimmed: cable between its two cut ends, m; the near connector is on, the far one is not. */
  cableM?: number;
}

/** What the bench holds. */
export interface Bench extends BenchHands {
  schema: string;
  /** Run of Kobran whose design it is. */
  runId?: string;
  design: object;
  catalog: BenchEntry[];
  /** An assembly alone; the whole run when empty. */
  pieceId: string;
  /** What was done badly in making it follows from this number; 0 is sound work. */
  seed: number;
}

/** A bench with its design read and its catalogue put together. */
export interface ReadBench extends BenchHands {
  design: Design;
  catalog: Catalog;
  pieceId: string;
  seed: number;
}
