import { entry, type Catalog } from '../../catalog/index.js';
import { isExposed, passesBore, zoneAt, type ZoneSpan } from '../../route/index.js';
import type { Assembly, Leg } from '../design/design.js';
import { endId, endSides, type EndSide } from '../design/ids.js';
import { factAbout, isEndMade } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';

/** The end of an assembly which is made when the cable lies in its duct: neither connector goes through, and one of them leads. */
export interface AfterPull {
  end: EndSide;
  leg: Pick<Leg, 'id' | 'name'>;
  /** The cable lies there: the end may be made. */
  pulled: boolean;
}

/**
 * Which end of an assembly is made after the pull, and through which duct.
 *
 * A connector that passes leads, and the other end stays outside. Where neither passes, the end that is not made yet leads; of two, the one
 * in the drier place, since it is made there more easily. With what else lies in the duct the site judges. Common practice, no source.
 *
 * @returns nothing where it lies in no duct, or a connector passes
 */
export function afterPull(
  assembly: Assembly,
  [fromM, toM]: readonly [number, number],
  { legs, spans }: { legs: readonly Leg[]; spans: readonly ZoneSpan[] },
  catalog: Catalog,
  facts: Facts,
): AfterPull | undefined {
  const widestMm = (end: EndSide): number =>
    Math.max(0, ...entry(catalog.parts, assembly[end].part).train.map(({ outerMm }) => outerMm));
  const leadMm = Math.min(...endSides.map(widestMm));
  const span = spans.find(({ leg, fromM: from, toM: to }) => {
    const { boreMm } = legs[leg];
    return boreMm !== undefined && to > fromM && from < toM && !passesBore(boreMm, leadMm);
  });
  if (!span) return undefined;
  const { id, name } = legs[span.leg];
  const open = endSides.filter((end) => !isEndMade(facts, endId(assembly.id, end)));
  const wet = (end: EndSide): number => Number(isExposed(zoneAt(spans, end === 'a' ? fromM : toM)));
  const end = open.toSorted((x, y) => wet(x) - wet(y)).at(0);
  if (!end) return undefined;
  const pulled = ['', id].some((where) => factAbout(facts, 'installed', where) !== undefined);
  return { end, leg: { id, name }, pulled };
}
