export {
  needKinds,
  partsList,
  type NeedKind,
  type PartsRow,
  type PlannedRun,
  type Use,
  type UsedEnd,
} from './partsList.js';
export { inPartsOrder, partsOrders, type PartsGroup, type PartsOrder, type Urgency } from './partsOrder.js';
export { SPARES_SURE, sparesFor, type Tries } from './spares.js';
export { toolsList, type ToolsRow } from './toolsList.js';
export * from './day/index.js';
