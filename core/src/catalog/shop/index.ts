export { shopKinds } from './entries.js';
export type {
  DamagedSpan,
  OwnAdapter,
  OwnCable,
  OwnPart,
  Port,
  Reel,
  ShopEntries,
  ShopEntry,
  ShopKind,
  Stock,
  UsedPart,
} from './entries.js';
export { catalogEntries, newEntries } from './newEntries.js';
export { impedanceFromDiameters, implausible } from './plausible.js';
export { withShop } from './shop.js';
