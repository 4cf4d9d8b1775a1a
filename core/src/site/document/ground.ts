import type { UsedPart } from '../../catalog/index.js';

/** What of a site is tied to what against surges, as it is drawn: electrodes, bars, conductors, readings. SI units; handbook of the trade. */

export const MAX_NODES = 200;
export const MAX_BONDS = 300;
export const MAX_GROUND_READINGS = 500;

/** Electrodes are what touches soil. */
export const electrodeKinds = ['rod', 'plate', 'ring', 'buried wire', 'building electrode'] as const;
export type ElectrodeKind = (typeof electrodeKinds)[number];

export const groundNodeKinds = [
  ...electrodeKinds,
  'entry bar',
  'main bar',
  'mast',
  'ground kit',
  'rack',
  'other line',
  'metalwork',
] as const;
export type GroundNodeKind = (typeof groundNodeKinds)[number];

export const metals = ['copper', 'tinned copper', 'brass', 'zinc', 'aluminium', 'stainless steel'] as const;
export type Metal = (typeof metals)[number];

/** What an electrode measures: a rod’s or wire’s length and diameter, a ring’s or plate’s diameter across, and its depth. */
export interface ElectrodeSize {
  /** Length of a rod or buried wire, diameter of a ring, side of a square plate, m. */
  lengthM: number;
  /** Of a rod or wire, mm. */
  diameterMm: number;
  /** Of ring, wire and plate, m; a rod begins at the top. */
  depthM: number;
}

export interface GroundNode {
  id: string;
  name: string;
  kind: GroundNodeKind;
  /** The point of the site it stands at. */
  point?: string;
  /** Its surface, where a conductor is clamped on. */
  metal: Metal;
  electrode?: ElectrodeSize;
  /** Of a ground kit: the run whose shield it takes, and the jackets it fits, mm. */
  kit?: { run: string; fromMm: number; toMm: number };
  /** Of another line (rotator, power, network): its protector; empty when it has none. */
  protector?: string;
}

export type Section = { areaMm2: number } | { widthMm: number; thicknessMm: number };

/** Of one conductor, mm². */
export const areaMm2 = (section: Section): number =>
  'areaMm2' in section ? section.areaMm2 : section.widthMm * section.thicknessMm;

export const bondJoints = ['clamp', 'bolt', 'compression', 'exothermic', 'mounted'] as const;
export type BondJoint = (typeof bondJoints)[number];

/** A conductor between two nodes. An arrester is a node too: see `arresterNode`. */
export interface Bond {
  id: string;
  from: string;
  to: string;
  /** As measured; not stated, straight between the points of its nodes. */
  lengthM?: number;
  section: Section;
  metal: Metal;
  /** So many side by side, well apart. */
  parallel: number;
  /** Bends tighter than 200 mm. */
  sharpBends: number;
  /** `mounted` is screwed on without a conductor. */
  joint: BondJoint;
  /** With a bimetal part, or grease against corrosion, where metals differ. */
  bimetal: boolean;
  /** Lies bare in the soil at this depth, m: an electrode too; nothing where it is insulated or above ground. */
  bareDepthM?: number;
  /** Who joined it, and the day. */
  made?: BondMade;
}

export const earthMethods = ['fall of potential', 'clamp-on', 'two-wire'] as const;
export const bondMethods = ['four-wire', 'two-wire'] as const;

/** Who joined a conductor, and when. */
export interface BondMade {
  by: string;
  on: string;
  /** The moment, ISO 8601, and what left the shelf for it; nothing in documents of earlier versions. */
  at?: string;
  used?: UsedPart[];
}

/** What a meter said. */
export interface GroundReading {
  id: string;
  /** A node’s resistance to earth, or the resistance along a conductor and its joints. */
  kind: 'earth' | 'bond';
  /** Id of the node, or of the conductor. */
  about: string;
  ohm: number;
  method: (typeof earthMethods)[number] | (typeof bondMethods)[number];
  /** Fall of potential: from the electrode to the outer spike, m. */
  spacingM?: number;
  /** Soil and weather of the day. */
  weather?: string;
  by: string;
  on: string;
}

/** IEC 62305-1’s classes of lightning. */
export const lightningLevels = ['I', 'II', 'III', 'IV'] as const;
export type LightningLevel = (typeof lightningLevels)[number];

export interface Ground {
  /** Resistivity of the soil, ohm metres. */
  soilOhmM: number;
  /** By how much a dry or frozen season raises what is computed. */
  season: number;
  level: LightningLevel;
  /** Share of a stroke which is taken to flow in each conductor, 0 to 1. */
  share: number;
  /** Id of the code profile which says the smallest conductors. */
  profile: string;
  nodes: GroundNode[];
  bonds: Bond[];
  readings: GroundReading[];
}

/** Loam, a usual stroke of which half takes one conductor: common practice, no source. */
export const emptyGround: Ground = {
  soilOhmM: 100,
  season: 1,
  level: 'III',
  share: 0.5,
  profile: 'common-practice',
  nodes: [],
  bonds: [],
  readings: [],
};

/** The node which an arrester of a run is. */
export const arresterNode = (run: string, piece: string): string => `${run}.${piece}`;
