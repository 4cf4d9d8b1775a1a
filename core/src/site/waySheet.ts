import type { Cable } from '../catalog/index.js';
import type { Figure } from '../quantity/index.js';
import type { Design, Sheet } from '../run/index.js';
import type { BondMade } from './document/ground.js';
import type { Way } from './document/site.js';
import type { LaidCable } from './way/duct.js';
import type { WindLoad } from './way/wind.js';
import type { Pull } from './way/pull.js';

/** A run of the site with what was said of it. */
export interface SurveyedRun {
  id: string;
  /** With its legs from the site, as `onSite` gives it. */
  design: Design;
  sheet: Pick<Sheet, 'route' | 'pieces' | 'ends' | 'joints' | 'wraps'>;
  /** Who mounted its arrester, and when: what is screwed on is joined by that. */
  grounded?: BondMade;
  /** Its cables lie where they go: nothing is pulled any more. */
  installed: boolean;
  /** Ids of the ways it was pulled into already. */
  pulledInto?: ReadonlySet<string>;
}

/** A run’s cable in a way. */
export interface CableInWay {
  runId: string;
  run: string;
  /** The assembly which lies there. */
  pieceId: string;
  label: string;
  cable: Cable;
  /** Where the way begins and ends on the run’s ruler, m. */
  fromM: number;
  toM: number;
  /** From the way’s last point to its first. */
  reversed: boolean;
  /** It lies there already. */
  installed: boolean;
  /** The connectors of the assembly: their widest diameter, mm; towards the way’s first point, and its last. */
  connectorsMm: [number, number];
  madeEnds: [boolean, boolean];
}

/** What it takes to pull one cable into a way, from either end. */
export interface PullPlan {
  cable: CableInWay;
  /** Pulled towards the way’s last point, and towards its first. */
  forward: Pull;
  backward: Pull;
  /** Which of them is easier. */
  towards: 'last' | 'first';
  limit: Figure;
  /** Does the connector at the leading end pass, and the one at the other? Nothing where there is no duct. */
  passes: [boolean, boolean] | undefined;
}

/** What carries a cable in a way. */
export interface Supports {
  cable: CableInWay;
  everyM: number;
  count: number;
  grips: number;
}

export interface WaySheet {
  way: Way;
  length: Figure;
  /** Upwards from its first point to its last, m. */
  riseM: number;
  cables: CableInWay[];
  /** Of a duct: share filled, what is allowed, and where the cables lie; nothing laid when they do not go in. */
  fill: { share: number; limit: number; laid: LaidCable[] | undefined; roomForOneMore: boolean } | undefined;
  pulls: PullPlan[];
  /** Clips or hangers, and grips, of each cable which is carried. */
  supports: Supports[];
  /** Weight of its cables, ice not counted. */
  weight: Figure;
  /** Of a mast or tower: what its cables show to the wind. */
  wind: WindLoad | undefined;
  /** Of an aerial: tension at its supports for each cable, with ice where it is reckoned with. */
  tensions: { cable: CableInWay; tension: Figure; limit: Figure }[];
}
