export {
  arresterNeeds,
  hangNeeds,
  joinNeeds,
  needKinds,
  sealNeeds,
  tubePart,
  usedParts,
  type Need,
  type NeedKind,
} from './needs.js';
export {
  emptyShopLog,
  partsList,
  usesSince,
  type PartsRow,
  type PartUse,
  type PlannedRun,
  type ShopLog,
  type TriedEnd,
  type Use,
} from './partsList.js';
export { inPartsOrder, partsOrders, type PartsGroup, type PartsOrder, type Urgency } from './partsOrder.js';
export { SPARES_SURE, sparesFor, type Tries } from './spares.js';
export { partName, usesOf, usesOfJob, usingKinds, type JobUse } from './uses.js';
export { toolsList, type ToolsRow } from './toolsList.js';
export * from './day/index.js';
