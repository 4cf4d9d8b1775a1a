import { routeLength } from '../route/index.js';
import type { Design } from '../run/index.js';
import type { Place3, Site, Way } from './document/site.js';
import { isReversed, waysOf } from './chain.js';
import { pathOf, wayLength } from './way/path.js';

/** How high a run is along its ruler, and where it bends. */
export interface HeightProfile {
  /** From the radio, m along the run and m above the site’s nought. */
  line: { atM: number; zM: number }[];
  bends: { atM: number; zM: number; degrees: number; radiusMm: number; way: string }[];
  /** Where each way lies on the ruler; its cable ends where its slack begins, m. */
  ways: { way: Way; fromM: number; cableToM: number; toM: number; reversed: boolean }[];
}

/**
 * The height of a run along its ruler: each way’s corners at their share of its length, slack lying where its way ends.
 *
 * @param design with its legs from the site, as `onSite` gives it
 * @returns nothing for a run which has no route there
 */
export function heightProfile(design: Design, site: Site): HeightProfile | undefined {
  const chain = waysOf(design, site);
  if (!design.route || chain.length === 0) return undefined;
  const { spans } = routeLength(design.legs, 0);
  const profile: HeightProfile = { line: [], bends: [], ways: [] };
  for (const [k, way] of chain.entries()) {
    if (!way || !spans[k]) continue;
    const { fromM, toM } = spans[k];
    const reversed = isReversed(chain, k);
    const path = reversed ? pathOf(site, way).toReversed() : pathOf(site, way);
    const along = distances(path);
    const drawnM = along[along.length - 1];
    const lengthM = wayLength(site, way).value;
    const own = path.map(({ zM }, n) => ({
      atM: fromM + (drawnM > 0 ? (along[n] / drawnM) * lengthM : n === 0 ? 0 : lengthM),
      zM,
    }));
    profile.ways.push({ way, fromM, cableToM: fromM + lengthM, toM, reversed });
    profile.line.push(...own, { atM: toM, zM: path[path.length - 1].zM });
    for (const { atM, degrees, radiusMm } of way.bends) {
      const at = fromM + (reversed ? lengthM - atM : atM);
      profile.bends.push({ atM: at, zM: heightOn(own, at), degrees, radiusMm, way: way.id });
    }
  }
  return profile;
}

function distances(path: readonly Place3[]): number[] {
  const all = [0];
  for (const [k, { xM, yM, zM }] of path.slice(1).entries())
    all.push(all[k] + Math.hypot(xM - path[k].xM, yM - path[k].yM, zM - path[k].zM));
  return all;
}

/** Height of a place on the ruler, m. */
export const heightAt = ({ line }: Pick<HeightProfile, 'line'>, atM: number): number => heightOn(line, atM);

function heightOn(line: HeightProfile['line'], atM: number): number {
  const k = line.findIndex((one) => one.atM >= atM);
  if (k <= 0) return line[k === 0 ? 0 : line.length - 1].zM;
  const [before, after] = [line[k - 1], line[k]];
  const share = after.atM > before.atM ? (atM - before.atM) / (after.atM - before.atM) : 0;
  return before.zM + share * (after.zM - before.zM);
}
