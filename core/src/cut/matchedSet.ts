import type { Cable } from '../catalog/index.js';

/** A finished or half-finished piece of a set, as it was read. */
export interface SetMember {
  name: string;
  cable: Cable;
  /** Production batch; empty when nobody knows. */
  lot: string;
  /** One-way delay between its reference planes, s, and its standard deviation. */
  delayS: number;
  sigmaS: number;
}

/** How alike the pieces of a set are. */
export interface SetSpread {
  /** Largest minus smallest, degrees at the frequency and s; with one standard deviation. */
  degrees: number;
  seconds: number;
  sigmaDegrees: number;
  /** Are they alike enough to be used together? */
  alike: boolean;
  /** Each against the mean, degrees. */
  members: { name: string; degrees: number }[];
  /** What speaks against it, in words. */
  against: string[];
  /** What to keep in mind, in words. */
  notes: string[];
}

/**
 * Compares the pieces of a matched set.
 *
 * @param members two at least, read at one temperature
 * @param frequencyHz where their phase matters
 * @param toleranceDeg between the longest and the shortest, degrees there
 */
export function setSpread(
  members: readonly SetMember[],
  frequencyHz: number,
  toleranceDeg: number,
): SetSpread {
  const delays = members.map(({ delayS }) => delayS);
  const mean = delays.reduce((sum, one) => sum + one, 0) / delays.length;
  const seconds = Math.max(...delays) - Math.min(...delays);
  const inDegrees = (s: number): number => s * frequencyHz * 360;
  const sigma = Math.SQRT2 * Math.max(...members.map(({ sigmaS }) => sigmaS));
  return {
    degrees: inDegrees(seconds),
    seconds,
    sigmaDegrees: inDegrees(sigma),
    alike: inDegrees(seconds) <= toleranceDeg,
    members: members.map(({ name, delayS }) => ({ name, degrees: inDegrees(delayS - mean) })),
    against: against(members),
    notes: notes(members),
  };
}

function against(members: readonly SetMember[]): string[] {
  const reasons: string[] = [];
  if (new Set(members.map(({ cable }) => cable.id)).size > 1)
    reasons.push('They are not all of one cable: with temperature they drift apart.');
  const lots = new Set(members.map(({ lot }) => lot));
  if (lots.has('')) reasons.push('The lot of some is not known: a set is cut from one.');
  else if (lots.size > 1)
    reasons.push(`They are of ${lots.size} lots: velocity and its drift differ between lots.`);
  return reasons;
}

/** PTFE changes its crystal near 19 °C and its phase by hundreds of ppm. Handbook practice; common in the trade. */
const notes = (members: readonly SetMember[]): string[] =>
  members.some(({ cable }) => /PTFE/i.test(cable.dielectric))
    ? [
        'PTFE changes near 19 °C by hundreds of ppm: trim and read all of them at one temperature, away from it, and expect them to move together.',
      ]
    : ['Read all of them at one temperature and with the same bends.'];
