export { OwnAdapter, OwnCable, OwnPart, Port, Reel, Stock, shopClasses, shopKinds } from './entries.js';
export type { ShopEntries, ShopEntry, ShopKind } from './entries.js';
export {
  CATALOG_SCHEMA,
  absentDimensions,
  catalogEntries,
  catalogToCsv,
  catalogToJson,
  newEntries,
  readCatalogFile,
} from './exchange.js';
export type { CatalogFile } from './exchange.js';
export { impedanceFromDiameters } from './plausible.js';
export { readShopEntry, withShop } from './shop.js';
