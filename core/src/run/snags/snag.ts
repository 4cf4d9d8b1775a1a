import type { Catalog } from '../../catalog/index.js';
import type { Along } from '../../line/index.js';
import type { RouteLength } from '../../route/index.js';
import type { TubeChoice } from '../../ground/index.js';
import type { Remedy } from '../design/remedy.js';
import type { StageId } from '../design/stageId.js';
import type { Design } from '../design/design.js';
import type { Facts } from '../facts/kinds.js';
import type { Layout } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import type { Look } from '../wave/looks.js';
import type { ProofSheet, WrapSheet } from '../work/work.js';
import type { RunProof } from '../work/runExpectations.js';
import type { Reception } from '../wave/reception.js';

export type SnagLevel = 'stop' | 'caution' | 'note';

/** Anything Kobran has to say against: what, why with a figure, and remedies. */
export interface Snag {
  /** Rule and place: `mating@main>antenna`; stable while both are. */
  id: string;
  /** Which rule says it: `mating`. */
  rule: string;
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
  /** Loss of the run into a matched load at the highest frequency, dB: what cable and joints cost, without the antenna’s mismatch. */
  lineDb: number;
  /** SWR on the line near the antenna. */
  swr: number;
  /** Where voltage, SWR and heat are looked at: the edges of every band and where the antenna is worst in it. */
  looks: readonly Look[];
  /** Voltage and power along the run at each of them; none when it only receives. */
  edges: readonly Along[];
  tube: TubeChoice | undefined;
  practice: Practice;
  /** Impedance the run is meant for, ohm. */
  referenceOhm: number;
  /** Receive-only runs: what the run does to the signal-to-noise ratio. */
  reception: Reception | undefined;
  /** What is expected of each cable, and what was read. */
  proofs: readonly ProofSheet[];
  /** What was read of the whole run, against what it should show. */
  runProofs: readonly RunProof[];
  /** What is sealed, and how. */
  wraps: readonly WrapSheet[];
}

/** What a rule says, and of what: a joint, a piece, an end or the run. */
export type Finding = Omit<Snag, 'id'> & { of: string };

/** One rule: looks at the run and says what it has against it. */
export type SnagRule = (context: SnagContext) => Finding[];

/** A finding which stops nothing. */
export type MildFinding = Finding & { level: Exclude<SnagLevel, 'stop'> };

/** A rule which never stops the work. */
export type MildRule = (context: SnagContext) => MildFinding[];

/** `1 stop · 2 cautions`. */
export function counted(snags: readonly Pick<Snag, 'level'>[]): string {
  const words = (['stop', 'caution', 'note'] as const).flatMap((level) => {
    const count = snags.filter((snag) => snag.level === level).length;
    return count === 0 ? [] : [`${count} ${level}${count === 1 ? '' : 's'}`];
  });
  return words.join(' · ') || 'no problems';
}
