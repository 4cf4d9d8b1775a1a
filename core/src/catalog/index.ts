import { adapters } from './adapters.js';
import { devices } from './devices.js';
import { arresters } from './arresters.js';
import { cables } from './cables.js';
import { parts } from './parts/index.js';
import type { Catalog } from './catalog.js';

const byId = <T extends { id: string }>(items: T[]): ReadonlyMap<string, T> =>
  new Map(items.map((item) => [item.id, item]));

/** The catalogue which ships with Kobran. */
export const catalog: Catalog = {
  cables: byId(cables),
  parts: byId(parts),
  adapters: byId([...adapters, ...devices]),
  arresters: byId(arresters),
  ports: new Map(),
  stock: new Map(),
  reels: new Map(),
};

/** Takes an entry a checked design names; a missing one is a bug, since documents are checked on the way in. */
export function entry<T>(shelf: ReadonlyMap<string, T>, id: string): T {
  const found = shelf.get(id);
  if (!found) throw new Error(`the catalogue has no ${id}`);
  return found;
}

export { braidMm, lossToleranceOf, velocityToleranceOf, type Cable } from './cable.js';
export {
  faceCode,
  faceInFull,
  faceName,
  faceOf,
  faces,
  isOfSeries,
  isPushOn,
  isReverse,
  opposite,
  parseFace,
  seriesOf,
  variantOf,
} from './face.js';
export type { Body, Contact, Face, FaceCode } from './face.js';
export { seriesById } from './series/index.js';
export { nutAcrossMm } from './series/series.js';
export { fitLossLaw, lawMisses, type FittedLaw, type LossPoint } from './lossLaw.js';
export type { Series, SeriesId, SeriesVariant } from './series/index.js';
export { stopToPlaneMm, styleIds } from './part.js';
export type { Part, PartDimensions, PinBore, Style, TrainItem } from './part.js';
export { hexDiesMm, nominalSource, partOf, styleById } from './parts/index.js';
export { adapterForms, isPlainAdapter, type Adapter, type AdapterForm } from './adapters.js';
export { deviceKinds, directCurrents, usualDevice, type DeviceKind, type InlineDevice } from './device.js';
export { GAS_TUBE_TOLERANCE, gasTubeVolts, letThroughV } from './arresters.js';
export type { Arrester } from './arresters.js';
export { sleeveKinds, sleeves, sleevesOf, type Sleeve, type SleeveKind } from './sleeves.js';
export { roleOfTape, tapeFor, tapeRoles, tapes, tapesFor, type Tape, type TapeRole } from './tapes.js';
export * from './shop/index.js';
export type { Catalog } from './catalog.js';
