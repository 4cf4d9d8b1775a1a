import type { GroundSheet } from '../ground/groundSheet.js';
import type { Site } from '../document/site.js';
import type { RunOnSite, SiteSnag } from '../sheet.js';
import type { WaySheet } from '../waySheet.js';

/** What a rule of the site may look at. */
export interface SiteContext {
  site: Site;
  ways: readonly WaySheet[];
  runs: readonly RunOnSite[];
  ground: GroundSheet;
}

/** What a rule says, and of what. */
export type SiteFinding = Omit<SiteSnag, 'id' | 'part'> & { of?: string };

export type SiteRule = (context: SiteContext) => SiteFinding[];
