import prand, { type RandomGenerator } from 'pure-rand';
import { entry, type Cable, type Catalog } from '../catalog/index.js';
import type { Assembly, Design } from '../run/index.js';

/** What the simulated world is really like, which nobody is told: lots, lengths and losses as they came out. */

/** Velocity factors of lots lie this far apart, share of the data sheet’s. Handbook: ±1 to 2 %. */
const VELOCITY_SPREAD = 0.012;
/** Loss of a lot against the data sheet, share. Common practice, no source. */
const LOSS_SPREAD = 0.03;
/** What a hand with a tape misses, share of the length. Common practice, no source. */
const LENGTH_SPREAD = 0.001;

/** A number from −1 to 1 that follows from a text: the same lot is the same everywhere and always. */
export function chanceOf(text: string): number {
  const rng = generatorOf(text);
  return prand.unsafeUniformIntDistribution(-1_000_000, 1_000_000, rng) / 1_000_000;
}

/** A generator whose seed is a text (FNV-1a, 32 bit). */
export function generatorOf(text: string): RandomGenerator {
  let hash = 0x811c9dc5;
  for (const char of text) hash = Math.imul(hash ^ (char.codePointAt(0) ?? 0), 0x01000193);
  return prand.xoroshiro128plus(hash);
}

/** The velocity factor which a lot really has. */
export const trueVelocityFactor = (cable: Cable, lot: string): number =>
  cable.velocityFactor * (1 + VELOCITY_SPREAD * chanceOf(`velocity ${cable.id} ${lot}`));

/**
 * A design as it was really built: each assembly of its own true cable and of the length it came out at.
 *
 * @returns the design with a catalogue that knows the true cables
 */
export function builtRun(design: Design, catalog: Catalog): { design: Design; catalog: Catalog } {
  const cables = new Map(catalog.cables);
  const pieces = design.pieces.map((piece) => {
    if (piece.kind !== 'assembly') return piece;
    const sheet = entry(catalog.cables, piece.cable);
    const lot = lotName(piece);
    const loss = 1 + LOSS_SPREAD * chanceOf(`loss ${sheet.id} ${lot}`);
    const id = `${sheet.id} of ${lot}`;
    cables.set(id, {
      ...sheet,
      id,
      velocityFactor: trueVelocityFactor(sheet, lot),
      k1: sheet.k1 * loss,
      k2: sheet.k2 * loss,
    });
    return {
      ...piece,
      cable: id,
      lengthM: piece.lengthM * (1 + LENGTH_SPREAD * chanceOf(`length ${design.name} ${piece.id}`)),
    };
  });
  return { design: { ...design, pieces }, catalog: { ...catalog, cables } };
}

/** A cable whose lot nobody wrote down is of a lot all the same. */
const lotName = ({ lot, id }: Assembly): string => lot ?? `the lot of ${id}`;
