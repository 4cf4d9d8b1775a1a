import type { JointHang } from './lowerSide.js';
import type { AfterPull } from './afterPull.js';
import type { Cable, Part } from '../../catalog/index.js';
import type { CutSheet } from '../../cut/index.js';
import type { StripGauge } from '../../make/index.js';
import type { Expectation, ReadingJudgement } from '../../prove/index.js';
import type { Zone } from '../../route/index.js';
import type {
  ClosureId,
  ClosurePlan,
  DripLoop,
  ProfileStep,
  SealPlan,
  SealSystemId,
} from '../../seal/index.js';
import type { Housing } from '../design/design.js';
import type { EndSide } from '../design/ids.js';
import type { FactOf } from '../facts/kinds.js';

/** What there is to do by hand: ends, cuts, proofs and seals, each with what is done. */

export interface EndSheet {
  /** `main.a`: what facts call it. */
  id: string;
  pieceId: string;
  end: EndSide;
  /** `Main cable, radio end`. */
  name: string;
  atM: number;
  /** Of the whole assembly, m. */
  lengthM: number;
  /** Does weather reach it? */
  exposed: boolean;
  part: Part;
  cable: Cable;
  gauge: StripGauge;
  made: boolean;
  /** So many of the same are wanted, and made: this one is the run’s own. */
  copies: number;
  copiesMade: number;
  farEndMade: boolean;
  /** The duct through which the cable is pulled before this end is made. */
  afterPull: Pick<AfterPull, 'leg' | 'pulled'> | undefined;
  failures: number;
  /** Cable which this end has cost so far, m. */
  lostM: number;
  /** What was done differently, newest last. */
  deviations: FactOf<'deviation'>[];
}

/** How many of an end are still to be made, the same on other pieces among them; spares beyond those are none. */
export const endsLeft = ({
  copies,
  copiesMade,
  made,
}: Pick<EndSheet, 'copies' | 'copiesMade' | 'made'>): number => Math.max(made ? 0 : 1, copies - copiesMade);

export interface ProofSheet {
  pieceId: string;
  name: string;
  /** Of so many of the same each is read. */
  copies: number;
  expectations: (Expectation & {
    reading?: FactOf<'reading'>;
    judgement?: ReadingJudgement;
    /** How many of the same were read. */
    copiesRead: number;
  })[];
}

/** One object to seal: a joint, or several too close together to be wrapped apart. */
export interface WrapSheet {
  /** Of the first joint: what a fact is written about. */
  jointId: string;
  /** Every joint under it. */
  jointIds: string[];
  /** `J2`, `J2 and J3`. */
  name: string;
  between: [string, string];
  zone: Exclude<Zone, 'dry'>;
  /** From its lower side up. */
  profile: ProfileStep[];
  /** Which side is the lower one, and where a flange ends it. */
  hang: JointHang;
  /** How it is sealed; none where no layer does: in the ground, over a bare pair. */
  system: SealSystemId | undefined;
  /** Why this joint is sealed otherwise than the shop seals. */
  reason: string | undefined;
  /** Its layers; none where no layer seals it, or none of the system’s sizes fits. */
  wrap: SealPlan | undefined;
  /** How it is closed where no layer does: in a pit, box or splice, or potted; nothing while that is not settled. */
  closure: ClosurePlan | undefined;
  closedBy: ClosureId | undefined;
  instructions: string[];
  /** Of the coupling, N·m; nothing where none is given. */
  torqueNm: number | undefined;
  /** Least and most that its series asks for. */
  torqueRange: readonly [number, number] | undefined;
  /** Pieces beside it which are not proved yet. */
  unproved: string[];
  /** A tube cap or a drain hole beside it stays free. */
  staysOpen: boolean;
  /** It hangs on a tower or mast. */
  aloft: boolean;
  /** Of the cable below it; nothing where it is sheltered or no cable comes from below. */
  dripLoop: DripLoop | undefined;
  /** When it is looked at again, months after it was sealed; nothing in the ground. */
  inspectionMonths: number | undefined;
  /** The day of the next look, ISO 8601; nothing before it is sealed. */
  inspectionDue: string | undefined;
  /** What a joint in the ground is in, when that is settled. */
  housing: Housing['kind'] | undefined;
  sealed: boolean;
}

/** One cable as it is cut. */
export type CutOfPiece = CutSheet & {
  pieceId: string;
  name: string;
  cable: Cable;
  /** So many of the same are cut. */
  copies: number;
  done: boolean;
};
