import type { Catalog } from '../../catalog/index.js';
import type { Along } from '../../line/index.js';
import type { RouteLength } from '../../route/index.js';
import type { TubeChoice } from '../../ground/index.js';
import type { Change } from '../design/change.js';
import type { Design } from '../design/design.js';
import type { Facts } from '../facts/facts.js';
import type { Layout } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import type { Reception } from '../wave/reception.js';
import type { StageId } from '../stages/stages.js';

export type SnagLevel = 'stop' | 'caution' | 'note';

/** A way to mend a snag, applied with one action: a change of the design, or the stage where the work is done. */
export interface Remedy {
  title: string;
  /** What it costs: joints, minutes, decibels. */
  detail: string;
  changes: Change[];
  open?: StageId;
}

/** Anything Kobran has to say against: what, why with a figure, and remedies. */
export interface Snag {
  /** Rule and place: `mating@main>antenna`. */
  id: string;
  level: SnagLevel;
  stage: StageId;
  /** A joint's or piece's id, or `run`. */
  at: string;
  /** Where on the ruler, m. */
  distanceM: number;
  what: string;
  why: string;
  remedies: Remedy[];
  source: string;
}

/** What a rule may look at. */
export interface SnagContext {
  design: Design;
  catalog: Catalog;
  facts: Facts;
  layout: Layout;
  route: RouteLength;
  /** Lowest and highest frequency in use, Hz. */
  lowHz: number;
  topHz: number;
  /** Loss from forward power at the radio to power in the antenna at the highest frequency, dB. */
  lossDb: number;
  /** SWR on the line near the antenna. */
  swr: number;
  /** Voltage and power along the run at each edge of the bands. */
  edges: readonly Along[];
  tube: TubeChoice | undefined;
  practice: Practice;
  /** Impedance the run is meant for, ohm. */
  referenceOhm: number;
  /** Receive-only runs: what the run does to the signal-to-noise ratio. */
  reception: Reception | undefined;
}

/** One rule: looks at the run and says what it has against it. */
export type SnagRule = (context: SnagContext) => Snag[];
