import type { PhaseTolerance } from '../../cut/index.js';
import type { FaceCode } from '../../catalog/index.js';
import type { Listening } from '../../line/index.js';
import type { SealSystemId, TapeLap, TapeStretch } from '../../seal/index.js';
import type { LegKind, Zone } from '../../route/index.js';

/** The document people edit: one run from an equipment port to an antenna port. SI units. */

export const DESIGN_SCHEMA = 'kobran-design/1';

/** More pieces than any run has; a document beyond it is a mistake. */
export const MAX_PIECES = 120;
export const MAX_LEGS = 60;
export const MAX_BANDS = 8;

export interface Band {
  name: string;
  lowHz: number;
  highHz: number;
}

/** An amplifier at the antenna, fed over the cable or by itself. */
export interface Preamplifier {
  noiseFigureDb: number;
  gainDb: number;
}

/** What the run is for. */
export interface Service extends Listening {
  bands: Band[];
  /** *Forward* power: the transmitter's rating into a matched load, W; 0 for receive only. */
  powerW: number;
  /** Share of time on the air at full power, 0..1. */
  duty: number;
  lossBudgetDb: number;
  /** Is direct current fed over the cable, for a preamplifier, relay or tuner? */
  dcFeed: boolean;
  ambientC: number;
  /** Noise figure of the receiver; receive-only runs are judged by it. */
  noiseFigureDb?: number;
  /** The first amplifier, when it stands at the antenna. */
  preamplifier?: Preamplifier;
}

export interface RadioPort {
  name: string;
  face: FaceCode;
  /** A handheld's port: small, deep, and easily strained. */
  handheld: boolean;
  /** Of the antenna that came with it: from the front of its nut or shell down to the insulator, mm. */
  insulatorDepthMm?: number;
}

/** Resistance, inductance and capacitance one after the other, as the antenna is near its resonance; 0 where there is none. */
export interface SeriesLoad {
  ohm: number;
  henry: number;
  farad: number;
}

/** More points say no more of an antenna. */
export const MAX_LOAD_POINTS = 401;

/** What was measured at the antenna’s own port: reflection over frequency. */
export interface MeasuredLoad {
  referenceOhm: number;
  frequencyHz: number[];
  re: number[];
  im: number[];
}

export interface AntennaPort {
  name: string;
  face: FaceCode;
  /** SWR of the antenna itself in the band, against the run’s impedance. */
  swr: number;
  /** Does the antenna join pin and shell for direct current? */
  dcShort: boolean;
  /** How far behind its connector a drain hole or a vent begins, mm; not stated, it has none. */
  drainMm?: number;
  /** Its impedance, when more is known than its SWR: as a circuit, or as it was measured. */
  series?: SeriesLoad;
  measured?: MeasuredLoad;
}

/** Names the connector part of one end. */
export interface End {
  part: string;
}

export interface Target {
  frequencyHz: number;
  degrees: number;
  /** What may be left over, either way; of a set, between its pieces. */
  tolerance?: PhaseTolerance;
}

export interface Piece {
  kind: 'assembly' | 'adapter' | 'arrester';
  id: string;
}

/** A stretch of a cable with an impedance of its own: a known crush, a kink, a bend too sharp. */
export interface Spot {
  /** From the radio end, m. */
  atM: number;
  lengthM: number;
  ohm: number;
}

/** A length of cable with two ends; `a` looks to the radio, `b` to the antenna. */
export interface Assembly extends Piece {
  kind: 'assembly';
  label: string;
  cable: string;
  /** Finished length between the reference planes, m. */
  lengthM: number;
  a: End;
  b: End;
  /** Electrical length wanted, when this piece's length is phase. */
  target?: Target;
  /** Production batch of its cable, as the crew calls it: a lot has a velocity factor of its own. */
  lot?: string;
  /** Set it belongs to: pieces of one set are cut from one lot and compared. */
  set?: string;
  /** So many of the same are made: one lies in this run, the others are spares or go elsewhere. Not stated, one. */
  count?: number;
  /** So much of it is wound as a choke, m: no slack, and not to be cut away. */
  woundM?: number;
  /** Known spots whose impedance is not the cable’s. */
  spots?: Spot[];
}

export interface AdapterPiece extends Piece {
  kind: 'adapter';
  adapter: string;
  /** Turned round: its second face looks to the radio. */
  reversed: boolean;
}

export interface ArresterPiece extends Piece {
  kind: 'arrester';
  arrester: string;
  reversed: boolean;
  /** Nominal voltage of the fitted gas tube. */
  tubeV: number;
}

export type AnyPiece = Assembly | AdapterPiece | ArresterPiece;

/** One stretch of the route with its slack (drip, service or rotator loop). */
export interface Leg {
  id: string;
  name: string;
  kind: LegKind;
  zone: Zone;
  lengthM: number;
  slackM: number;
  /** Tightest bend in this leg, mm. */
  bendRadiusMm?: number;
  /** Bore of the duct it lies in, mm. */
  boreMm?: number;
  /** How much hotter it is there than around the run, K. */
  hotterK?: number;
  /** By how much it rises on the way from the radio, m; not stated, its kind says it or nobody does. */
  riseM?: number;
}

/** Why cable is kept beyond the length of a way. */
export const slackCauses = ['drip loop', 'service coil', 'rotator loop', 'mast-top tail', 'other'] as const;
export type SlackCause = (typeof slackCauses)[number];

/** How much is kept where nobody says it, m. Common practice, no source. */
export const usualSlackM: Record<SlackCause, number> = {
  'drip loop': 0.4,
  'service coil': 1,
  'rotator loop': 1.5,
  'mast-top tail': 0.8,
  other: 0.3,
};

export interface WaySlack {
  cause: SlackCause;
  lengthM: number;
}

/** One way of the site which a run lies in, with what it keeps there. */
export interface RouteStep {
  /** The way’s id. */
  way: string;
  slack: WaySlack[];
}

/** What protects a joint which is under ground: tape never does. */
export const housingKinds = ['pit', 'box', 'splice'] as const;
export interface Housing {
  /** The joint’s id. */
  joint: string;
  kind: (typeof housingKinds)[number];
}

/** Which side of a joint in the weather is the lower one, where somebody said it. */
export interface Hang {
  /** The joint’s id. */
  joint: string;
  lower: 'radio' | 'antenna';
}

/** A joint which is sealed otherwise than the shop seals. */
export interface JointSeal {
  /** The joint’s id. */
  joint: string;
  system: SealSystemId;
  /** How it differs from the shop’s method; what is not stated is as everywhere. */
  passes?: number;
  stretch?: TapeStretch;
  lap?: TapeLap;
  courtesy?: boolean;
  /** Why, for whoever comes back. */
  reason: string;
}

export interface Design {
  schema: string;
  name: string;
  service: Service;
  radio: RadioPort;
  antenna: AntennaPort;
  pieces: AnyPiece[];
  legs: Leg[];
  /** Ways of the site in order from the radio: the legs follow from them where they are given. */
  route?: RouteStep[];
  /** Of joints which lie in the ground. */
  housings?: Housing[];
  /** Of joints which are sealed in a way of their own. */
  seals?: JointSeal[];
  /** Of joints whose lower side somebody said. */
  hangs?: Hang[];
}
