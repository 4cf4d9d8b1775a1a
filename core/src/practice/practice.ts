import type { CodeProfile } from '../ground/index.js';
import { sleevesOf, tapeFor, type Sleeve, type Tape } from '../catalog/index.js';
import {
  usualInspectionMonths,
  type SealMethod,
  type SealSystemId,
  type TapeAdvance,
  type TapedExposure,
  type TapeLap,
  type TapeStretch,
} from '../seal/index.js';
import type { CauseId, OhmMeter } from '../prove/index.js';
import {
  usualSchools,
  type CentreSchool,
  type MakeSchools,
  type MarkingSchool,
  type ToolId,
  type UhfShieldSchool,
  type UnbraidingSchool,
} from '../make/index.js';

/** How common a cause is in this shop, share of the faulty runs. */
export interface CausePrior {
  cause: CauseId;
  share: number;
}

/** The shop's chosen schools. */
export interface Practice {
  /** Free space times velocity factor, or the 468 shop constant. */
  cutSchool: 'exact' | 'shop';
  tapeStretch: TapeStretch;
  /** How much of each turn of rubber lies on the one before; not stated, half. */
  tapeLap?: TapeLap;
  /** Where the lap is measured; not stated, along the axis. */
  tapeAdvance?: TapeAdvance;
  /** Passes of rubber wherever it is; not stated, the place decides. */
  tapePasses?: number;
  /** A layer of vinyl, sticky side out, under everything, so that it comes off again. */
  courtesyLayer?: boolean;
  /** The fusing tape on the shelf, shipped or own; not stated, rubber of 38 mm. */
  fusingTape?: string;
  /** The UV-stable vinyl; not stated, of 19 mm. */
  vinylTape?: string;
  /** The mastic; not stated, of 63 mm. */
  masticTape?: string;
  /** Tapes which the shop has besides the shipped ones. */
  ownTapes?: Tape[];
  /** Sleeves and boots which lie on the shop’s shelf; not stated, any of the usual sizes. */
  ownSleeves?: Sleeve[];
  /** How joints are sealed where nobody says otherwise; not stated, rubber and vinyl. */
  sealSystem?: SealSystemId;
  /** Months until a seal is looked at again; those not stated are as everywhere. */
  inspectionMonths?: Partial<Record<TapedExposure, number>>;
  /** Spare cable kept so that each end can be made again this many times. */
  remakesPerEnd: number;
  /** Hex dies the shop owns, mm across flats; not stated, every die is taken as owned. */
  diesMm?: number[];
  /** Tools the shop owns; not stated, every tool is taken as owned. */
  tools?: ToolId[];
  /** How the centre contact is fastened. */
  centreSchool?: CentreSchool;
  /** How strip lengths are marked. */
  marking?: MarkingSchool;
  /** What opens the braid. */
  unbraiding?: UnbraidingSchool;
  /** Which UHF plug is taken first where several fit. */
  uhfShield?: UhfShieldSchool;
  /** How the shop’s ohm-meter reads; not stated, a hand-held one through its two leads. */
  ohmMeter?: OhmMeter;
  /** A tuner at the radio matches what the line offers; not stated, there is none. */
  tuner?: boolean;
  /** A second person looks at each end before it is signed off. */
  twoPersonCheck?: boolean;
  /** Two people sign what is handed over. */
  signatures?: 2;
  /** Who may sign, by first name. */
  crew?: string[];
  /** How common each cause is here; those not stated are as everywhere. */
  causePriors?: CausePrior[];
  /** What the local code asks of ground conductors, where none of the shipped profiles is it. */
  codeProfiles?: CodeProfile[];
}

export const defaultPractice: Practice = { cutSchool: 'exact', tapeStretch: 'hard', remakesPerEnd: 1 };

/** The schools which change a card: the shop's own, the usual one where it has not chosen. */
export const makeSchools = ({ centreSchool, marking, unbraiding }: Practice): MakeSchools => ({
  centreSchool: centreSchool ?? usualSchools.centreSchool,
  marking: marking ?? usualSchools.marking,
  unbraiding: unbraiding ?? usualSchools.unbraiding,
});

/** How the shop seals: its own methods, the usual ones where it has not chosen. */
export const sealMethod = ({
  tapeStretch,
  tapeLap = 'half',
  tapeAdvance = 'along the axis',
  tapePasses,
  courtesyLayer = false,
  fusingTape,
  vinylTape,
  masticTape,
  ownTapes,
  ownSleeves,
}: Practice): SealMethod => ({
  stretch: tapeStretch,
  lap: tapeLap,
  advance: tapeAdvance,
  passes: tapePasses,
  courtesy: courtesyLayer,
  tapes: {
    fusing: tapeFor('fusing', fusingTape, ownTapes),
    vinyl: tapeFor('vinyl', vinylTape, ownTapes),
    mastic: tapeFor('mastic', masticTape, ownTapes),
  },
  sleeves: sleevesOf(ownSleeves),
});

/** Months until a seal in such a place is looked at again. */
export const inspectionMonths = ({ inspectionMonths: own }: Practice, exposure: TapedExposure): number =>
  own?.[exposure] ?? usualInspectionMonths[exposure];

/** Cable which one failed end costs, m. Common practice, no source. */
export const REMAKE_M = 0.06;
