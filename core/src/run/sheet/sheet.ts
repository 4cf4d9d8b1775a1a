import type { TubeChoice } from '../../ground/index.js';
import type { Arrester, Face } from '../../catalog/index.js';
import type { Mating, MatingEffect } from '../../fit/index.js';
import type { Figure } from '../../quantity/index.js';
import type { RouteLength, Zone } from '../../route/index.js';
import type { AnyPiece } from '../design/design.js';
import type { CutOfPiece, EndSheet, ProofSheet, WrapSheet } from '../work/work.js';
import type { Reception } from '../wave/reception.js';
import type { RulerSamples } from '../wave/rulerAt.js';
import type { Slack } from '../facts/slack.js';
import type { RunProof } from '../work/runExpectations.js';
import type { Snag } from '../snags/snag.js';

/** One piece as the drawing needs it. */
export interface PieceSheet {
  id: string;
  kind: AnyPiece['kind'];
  name: string;
  /** `RG-213/U, 12.40 m`, `N jack to N jack`. */
  what: string;
  faces: [Face, Face];
  fromM: number;
  toM: number;
  /** Matched loss at the highest frequency. */
  loss: Figure;
  diameterMm: number;
}

export interface JointSheet {
  id: string;
  number: number;
  atM: number;
  left: Face;
  right: Face;
  /** Names of the neighbours. */
  between: [string, string];
  zone: Zone;
  mating: Mating;
  /** What the joint does to a wave at the highest frequency. */
  effect: MatingEffect;
  /** Return loss of this joint alone in a matched line at the highest frequency. */
  echo: Figure;
  loss: Figure;
  peak: Figure;
  limit: Figure;
  maxFrequency: Figure;
  torque: string;
  standard: string;
  /** Worst level of the snags here. */
  snag: Snag['level'] | undefined;
}

export interface SweepSheet {
  frequencyHz: Float64Array;
  returnLossDb: Float64Array;
  lossDb: Float64Array;
}

/** Everything Kobran can say of a run before its stages are looked at. */
export interface SheetBody {
  /** The answer in a sentence, and the reasons in a second one. */
  headline: string;
  reason: string;
  /** Do all joints pass signal? The figures are those of the run as if mended. */
  passes: boolean;
  receiveOnly: boolean;
  /** Impedance the run is meant for, ohm. */
  referenceOhm: number;
  /** What the run does to the signal-to-noise ratio; receive-only runs. */
  reception: Reception | undefined;
  totalM: number;
  topHz: number;
  figures: {
    length: Figure;
    /** Forward power at the radio to power in the antenna. */
    loss: Figure;
    /** Of the cables alone. */
    matchedLoss: Figure;
    /** Of cables and joints into a matched load: what is charged to the line. */
    lineLoss: Figure;
    /** The same with the standing wave on it: what turns into heat on the way. */
    heatLoss: Figure;
    /** Turned back at the radio for want of a match; a tuner there gets it in. */
    turnedBack: Figure;
    /** Power in the antenna with a tuner at the radio, which matches it. */
    withTuner: Figure;
    reaching: Figure;
    forward: Figure;
    returnLoss: Figure;
    swrAtRadio: Figure;
    swrAtAntenna: Figure;
    peakVoltage: Figure;
  };
  pieces: PieceSheet[];
  joints: JointSheet[];
  ruler: RulerSamples;
  sweep: SweepSheet;
  route: RouteLength;
  /** What the cable beyond the route is good for; none without legs. */
  slack: Slack | undefined;
  ends: EndSheet[];
  cuts: CutOfPiece[];
  proofs: ProofSheet[];
  /** What was read of the whole run, each against what it should show; empty before anything was. */
  runProofs: readonly RunProof[];
  wraps: WrapSheet[];
  tube: TubeChoice | undefined;
  /** The arrester in the run; the first when there are several. */
  fittedArrester: Arrester | undefined;
  snags: Snag[];
}
