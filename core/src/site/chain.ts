import type { Design } from '../run/index.js';
import type { Site, Way } from './document/site.js';

/** The ways of a run’s legs, in their order; a leg of its own has none. */
export const waysOf = ({ legs }: Design, site: Site): (Way | undefined)[] =>
  legs.map((leg) => site.ways.find((way) => way.id === leg.id));

/** Is a way walked from its last point to its first? Its neighbours in the chain say so. */
export function isReversed(chain: readonly (Way | undefined)[], k: number): boolean {
  const way = chain[k];
  const [before, after] = [chain[k - 1], chain[k + 1]];
  if (!way) return false;
  const touches = (other: Way | undefined, point: string): boolean =>
    other !== undefined && (other.from === point || other.to === point);
  return before
    ? touches(before, way.to) && !touches(before, way.from)
    : touches(after, way.from) && !touches(after, way.to);
}
