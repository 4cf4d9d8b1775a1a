import { animals } from './animals.js';
import { atHeight } from './atHeight.js';
import { buildingApart } from './buildingApart.js';
import { connectorPasses } from './connectorPasses.js';
import { depth } from './depth.js';
import { ductFill } from './ductFill.js';
import { ductJam } from './ductJam.js';
import { ductWater } from './ductWater.js';
import { entrySlope } from './entrySlope.js';
import { groundIsland } from './groundIsland.js';
import { groundReading } from './groundReading.js';
import { groundUnknown } from './groundUnknown.js';
import { kitMissing } from './kitMissing.js';
import { kitSize } from './kitSize.js';
import { lineUnprotected } from './lineUnprotected.js';
import { looseConductor } from './looseConductor.js';
import { metalsTouch } from './metalsTouch.js';
import { noDripLoop } from './noDripLoop.js';
import { noElectrode } from './noElectrode.js';
import { pullTension } from './pullTension.js';
import { rodsClose } from './rodsClose.js';
import { separation } from './separation.js';
import { sharpBends } from './sharpBends.js';
import { spanTension } from './spanTension.js';
import { wayGone } from './wayGone.js';
import { wireLong } from './wireLong.js';
import { wireThin } from './wireThin.js';
import type { SiteSnag } from '../sheet.js';
import type { SiteContext, SiteRule } from './siteSnag.js';

/** Every rule of the ways; adding one touches its list and its own file only. */
const wayRules: SiteRule[] = [
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
  entrySlope,
  animals,
  atHeight,
];

/** Every rule of the ground. */
const groundRules: SiteRule[] = [
  groundUnknown,
  noElectrode,
  groundIsland,
  buildingApart,
  lineUnprotected,
  kitMissing,
  kitSize,
  wireThin,
  metalsTouch,
  wireLong,
  sharpBends,
  rodsClose,
  groundReading,
  looseConductor,
];

export const siteRules: readonly { part: SiteSnag['part']; rule: SiteRule }[] = [
  ...wayRules.map((rule) => ({ part: 'ways' as const, rule })),
  ...groundRules.map((rule) => ({ part: 'ground' as const, rule })),
];

const weight = { stop: 0, caution: 1, note: 2 };

/** Everything the rules have against a site, worst first. */
export const siteSnagsOf = (context: SiteContext): SiteSnag[] =>
  siteRules
    .flatMap(({ part, rule }) => rule(context).map((finding) => ({ ...finding, part })))
    .map(({ of, ...finding }): SiteSnag => ({
      ...finding,
      // Names of ways begin small: a sentence does not.
      what: finding.what.charAt(0).toUpperCase() + finding.what.slice(1),
      id: `${finding.rule}@${of ?? finding.at}`,
    }))
    .sort((x, y) => weight[x.level] - weight[y.level]);
