export {
  besideKinds,
  conditions,
  emptySite,
  MAX_BENDS,
  MAX_BESIDE,
  MAX_POINTS,
  MAX_VIA,
  MAX_WAYS,
  pointKinds,
  SITE_SCHEMA,
} from './document/site.js';
export type {
  Beside,
  Condition,
  Duct,
  Place3,
  PointKind,
  Site,
  SitePoint,
  Way,
  WayBend,
} from './document/site.js';
export { applySiteChange, type SiteChange } from './document/siteChange.js';
export { checkSite } from './document/checkSite.js';
export { findRoutes, type FoundRoute } from './findRoutes.js';
export { heightProfile, type HeightProfile } from './heightProfile.js';
export { onSite, zoneOfWay } from './onSite.js';
export type { CableInWay, PullPlan, RunOnSite, SiteRemedy, SiteSheet, SiteSnag, WaySheet } from './sheet.js';
export { siteOfRuns, type SiteOfRuns } from './siteOfRuns.js';
export { siteRules } from './snags/index.js';
export { orderM, survey, type SurveyedRun } from './survey.js';
export { icedWeightNPerM, spanTension } from './way/aerial.js';
export { connectorPasses, fillLimit, fillOf, jamRatio, layInDuct, type LaidCable } from './way/duct.js';
export { gripsFor, supportSpacingM } from './way/hang.js';
export {
  pathOf,
  pointOf,
  reversedStretches,
  riseM,
  stretchesOf,
  wayLength,
  type Stretch,
} from './way/path.js';
export { FRICTION, pullAlong, pullLimit, weightNPerM, type Pull } from './way/pull.js';
