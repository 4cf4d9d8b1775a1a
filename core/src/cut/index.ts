export {
  SHOP_CONSTANT_FT_MHZ,
  compareSchools,
  electricalDegrees,
  physicalLengthM,
  shopLengthM,
} from './electricalLength.js';
export type { ElectricalTarget, Schools } from './electricalLength.js';
export { VELOCITY_TOLERANCE, cutEndBehindPlaneM, cutSheet, type CutSheet } from './cutLength.js';
