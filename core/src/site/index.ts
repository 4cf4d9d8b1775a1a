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
  Origin,
  Place3,
  PointKind,
  Site,
  SitePoint,
  Way,
  WayBend,
} from './document/site.js';
export {
  dayAfter,
  MAX_DAYS,
  sharedTools,
  skills,
  usualBreak,
  usualDay,
  usualHours,
  type DaySetup,
  type DaySpan,
  type FixedTask,
  type SharedTool,
  type Skill,
  type Worker,
} from './document/day.js';
export { MAX_SITE_PHOTOS, type SitePhoto } from './document/sitePhoto.js';
export { renameRuns, runInFile } from './document/renameRuns.js';
export { applySiteChange, type SiteChange } from './document/siteChange.js';
export { checkSite } from './document/checkSite.js';
export { findRoutes, type FoundRoute } from './findRoutes.js';
export { routeMarkKinds, routeMarks } from './routeMarks.js';
export type { RouteMark, RouteMarkKind } from './routeMarks.js';
export { heightAt, heightProfile, type HeightProfile } from './heightProfile.js';
export { onSite, zoneOfWay } from './onSite.js';
export type { RunOnSite, SiteRemedy, SiteSheet, SiteSnag } from './sheet.js';
export type { CableInWay, PullPlan, SurveyedRun, WaySheet } from './waySheet.js';
export {
  arresterNode,
  bondJoints,
  bondMethods,
  earthMethods,
  emptyGround,
  groundNodeKinds,
  lightningLevels,
  MAX_BONDS,
  MAX_GROUND_READINGS,
  MAX_NODES,
  metals,
} from './document/ground.js';
export type {
  Bond,
  BondJoint,
  ElectrodeSize,
  Ground,
  GroundNode,
  GroundNodeKind,
  GroundReading,
  LightningLevel,
  Metal,
  Section,
} from './document/ground.js';
export { MAX_BOND_OHM } from './ground/judgeBond.js';
export { disconnectPlan } from './ground/disconnectPlan.js';
export { strandOf } from './ground/strand.js';
export { pullCard, type PullCard } from './pullCard.js';
export { readSiteGeoJson, siteGeoJson, type ReadGeoJson } from './exchange/geoJson.js';
export { rodOhm, soils } from './ground/electrodes.js';
export { roundWireUh } from './ground/conductor.js';
export { usualBond } from './ground/newBond.js';
export type { BondSheet, GroundSheet, NodeSheet } from './ground/groundSheet.js';
export { siteOfRuns, type SiteOfRuns } from './siteOfRuns.js';
export { siteRules } from './snags/index.js';
export { orderM, survey } from './survey.js';
export { surveyedFacts } from './surveyedFacts.js';
export { icedWeightNPerM, spanTension } from './way/aerial.js';
export { unseenDuct } from './document/site.js';
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
export { checkPicture, pictureToPlan } from './document/planPicture.js';
export type { KnownPlace, PictureToPlan, PlanPicture } from './document/planPicture.js';
export { HEIGHT_M } from './snags/atHeight.js';
export { NODE_PX, oneLine, type OneLine } from './ground/oneLine.js';
