import type { Site } from '../document/site.js';
import type { RunOnSite, SiteSnag, WaySheet } from '../sheet.js';

/** What a rule of the site may look at. */
export interface SiteContext {
  site: Site;
  ways: readonly WaySheet[];
  runs: readonly RunOnSite[];
}

/** What a rule says, and of what. */
export type SiteFinding = Omit<SiteSnag, 'id'> & { of?: string };

export type SiteRule = (context: SiteContext) => SiteFinding[];
