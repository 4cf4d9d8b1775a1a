import { adapters, type Adapter } from './adapters.js';
import { arresters, type Arrester } from './arresters.js';
import type { Cable } from './cable.js';
import { cables } from './cables.js';
import type { Part } from './part.js';
import { parts } from './parts/index.js';

/** Everything a design may name, by id. */
export interface Catalog {
  cables: ReadonlyMap<string, Cable>;
  parts: ReadonlyMap<string, Part>;
  adapters: ReadonlyMap<string, Adapter>;
  arresters: ReadonlyMap<string, Arrester>;
}

const byId = <T extends { id: string }>(items: T[]): ReadonlyMap<string, T> =>
  new Map(items.map((item) => [item.id, item]));

/** The catalogue which ships with Kobran. */
export const catalog: Catalog = {
  cables: byId(cables),
  parts: byId(parts),
  adapters: byId(adapters),
  arresters: byId(arresters),
};

/** Takes an entry a checked design names; a missing one is a bug, since documents are checked on the way in. */
export function entry<T>(shelf: ReadonlyMap<string, T>, id: string): T {
  const found = shelf.get(id);
  if (!found) throw new Error(`the catalogue has no ${id}`);
  return found;
}

export { braidMm, type Cable } from './cable.js';
export { faceCode, faceInFull, faceName, faceOf, faces, isReverse, parseFace } from './face.js';
export type { Body, Contact, Face, FaceCode } from './face.js';
export { seriesById } from './series/index.js';
export type { Series, SeriesId, SeriesVariant } from './series/index.js';
export type { Part, PinBore, Style, TrainItem } from './part.js';
export { hexDiesMm } from './parts/derive.js';
export type { Adapter } from './adapters.js';
export { GAS_TUBE_TOLERANCE, gasTubeVolts } from './arresters.js';
export type { Arrester } from './arresters.js';
export { tapes, type Tape } from './tapes.js';
