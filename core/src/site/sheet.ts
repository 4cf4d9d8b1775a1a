import type { Figure } from '../quantity/index.js';
import type { SnagLevel } from '../run/index.js';
import type { SiteChange } from './document/siteChange.js';
import type { GroundSheet } from './ground/groundSheet.js';
import type { WaySheet } from './waySheet.js';

/** Anything to say against a place, with what mends it. */
export interface SiteSnag {
  /** Rule and place: `fill@duct`; stable while both are. */
  id: string;
  rule: string;
  /** Which screen of the site it belongs to. */
  part: 'ways' | 'ground';
  level: SnagLevel;
  /** Id of a way or point, or of a part or conductor of the ground. */
  at: string;
  what: string;
  why: string;
  remedies: SiteRemedy[];
  source: string;
}

export interface SiteRemedy {
  title: string;
  detail: string;
  changes: SiteChange[];
}

/** A run as the site sees it. */
export interface RunOnSite {
  id: string;
  name: string;
  ways: string[];
  /** By cause, m. */
  slack: Map<string, number>;
  /** What the route asks for, and what to order for it. */
  total: Figure;
  order: Figure;
}

/** Everything Kobran can say of a place. */
export interface SiteSheet {
  headline: string;
  ways: WaySheet[];
  runs: RunOnSite[];
  ground: GroundSheet;
  groundHeadline: string;
  snags: SiteSnag[];
}
