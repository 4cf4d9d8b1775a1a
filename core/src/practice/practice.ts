import type { CodeProfile } from '../ground/index.js';
import type { TapeLap, TapeStretch } from '../seal/index.js';
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

export const defaultPractice: Practice = { cutSchool: 'exact', tapeStretch: 'a little', remakesPerEnd: 1 };

/** The schools which change a card: the shop's own, the usual one where it has not chosen. */
export const makeSchools = ({ centreSchool, marking, unbraiding }: Practice): MakeSchools => ({
  centreSchool: centreSchool ?? usualSchools.centreSchool,
  marking: marking ?? usualSchools.marking,
  unbraiding: unbraiding ?? usualSchools.unbraiding,
});

/** Cable which one failed end costs, m. Common practice, no source. */
export const REMAKE_M = 0.06;
