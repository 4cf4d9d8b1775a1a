import type { DaySetup } from './day.js';
import type { LegKind } from '../../route/index.js';
import type { SitePhoto } from './sitePhoto.js';
import type { PlanPicture } from './planPicture.js';
import { emptyGround, type Ground } from './ground.js';

/** The document a crew edits: the place its runs share. SI units; x to the east, y to the north, z up from the ground at the entry. */

export const SITE_SCHEMA = 'kobran-site/1';

/** More than any site has; a document beyond it is a mistake. */
export const MAX_POINTS = 300;
export const MAX_WAYS = 300;
export const MAX_VIA = 40;
export const MAX_BENDS = 40;
export const MAX_BESIDE = 10;

export const pointKinds = [
  'rack',
  'entry',
  'box or pit',
  'mast foot',
  'mast point',
  'antenna',
  'rod',
  'building electrode',
  'free',
] as const;
export type PointKind = (typeof pointKinds)[number];

export interface Place3 {
  xM: number;
  yM: number;
  zM: number;
}

export interface SitePoint extends Place3 {
  id: string;
  name: string;
  kind: PointKind;
}

/** What a way is exposed to; several at once. */
export const conditions = [
  'inside',
  'sheltered',
  'outside',
  'buried',
  'wet',
  'salt',
  'ice',
  'sun',
  'heat',
  'traffic',
  'animals',
] as const;
export type Condition = (typeof conditions)[number];

export interface WayBend {
  /** From the way’s first point, m. */
  atM: number;
  degrees: number;
  radiusMm: number;
}

export interface Duct {
  boreMm: number;
  lubricated: boolean;
  drained: boolean;
  /** Is a pull cord left in it? */
  cord: boolean;
}

/** What a duct is taken for until somebody looks into it: a usual bore (common practice, no source), and the worse of what is not known. */
export const unseenDuct: Duct = { boreMm: 40, lubricated: false, drained: false, cord: false };

export const besideKinds = ['mains', 'data', 'power line'] as const;

/** What runs beside a way, or crosses it. */
export interface Beside {
  what: (typeof besideKinds)[number];
  distanceMm: number;
  /** Angle of a crossing; not stated, it runs along. */
  crossingDegrees?: number;
}

export interface Way {
  id: string;
  name: string;
  kind: LegKind;
  /** Ids of its points. */
  from: string;
  to: string;
  /** Corners between its points. */
  via: Place3[];
  conditions: Condition[];
  /** As it was measured; not stated, it follows from the points. */
  lengthM?: number;
  bends: WayBend[];
  duct?: Duct;
  depthM?: number;
  /** Distance of supports, m; not stated, by the cable and the ice. */
  supportM?: number;
  /** Of an aerial: how far it hangs down in the middle; not stated, 3 % of the span. */
  sagM?: number;
  /** Radial ice to be reckoned with, mm. */
  iceMm?: number;
  /** Wind to be reckoned with, m/s; not stated, none. */
  windMps?: number;
  beside: Beside[];
}

/** Where x and y are nought, WGS 84. */
export interface Origin {
  latDeg: number;
  lonDeg: number;
}

export interface Site {
  schema: string;
  /** For maps; not stated, the site is in metres of its own. */
  origin?: Origin;
  /** Under the plan. */
  picture?: PlanPicture;
  points: SitePoint[];
  ways: Way[];
  ground: Ground;
  /** Crew, tools and weather of its day of work; not stated, the shop’s crew on a usual day. */
  day?: DaySetup;
  /** The days after it, in order: what does not go into one is planned for the next. */
  nextDays?: DaySetup[];
  /** Of bars, rods, points and ways; those of ends and joints stand in the logs of their runs. */
  photos?: SitePhoto[];
}

export const emptySite: Site = { schema: SITE_SCHEMA, points: [], ways: [], ground: emptyGround };
