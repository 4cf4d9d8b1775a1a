import type { SiteSnag } from '../sheet.js';
import { atHeight } from './atHeight.js';
import { connectorPasses } from './connectorPasses.js';
import { depth } from './depth.js';
import { ductFill } from './ductFill.js';
import { ductJam } from './ductJam.js';
import { ductWater } from './ductWater.js';
import { noDripLoop } from './noDripLoop.js';
import { pullTension } from './pullTension.js';
import { separation } from './separation.js';
import type { SiteContext, SiteRule } from './siteSnag.js';
import { spanTension } from './spanTension.js';
import { wayGone } from './wayGone.js';

/** Every rule of the site; adding one touches this list and its own file only. */
export const siteRules: SiteRule[] = [
  wayGone,
  separation,
  ductFill,
  ductJam,
  connectorPasses,
  pullTension,
  ductWater,
  depth,
  spanTension,
  noDripLoop,
  atHeight,
];

const weight = { stop: 0, caution: 1, note: 2 };

/** Everything the rules have against a site, worst first. */
export const siteSnagsOf = (context: SiteContext): SiteSnag[] =>
  siteRules
    .flatMap((rule) => rule(context))
    .map(({ of, ...finding }): SiteSnag => ({
      ...finding,
      // Names of ways begin small: a sentence does not.
      what: finding.what.charAt(0).toUpperCase() + finding.what.slice(1),
      id: `${finding.rule}@${of ?? finding.at}`,
    }))
    .sort((x, y) => weight[x.level] - weight[y.level]);
