import type { GroundNode } from '../document/ground.js';
import type { Site, SitePoint, Way } from '../document/site.js';
import type { WaySheet } from '../waySheet.js';
import { pointOf } from '../way/path.js';

/** A ground kit stands at least every so many metres of a mast. Common practice, no source: 20 to 60 m by the shop’s rule. */
export const KIT_EVERY_M = 30;

/** A place where the shield of a run’s cable is tied to the mast. */
export interface KitPlace {
  run: string;
  runName: string;
  /** Of the cable there, mm. */
  jacketMm: number;
  where: 'top' | 'foot' | 'between';
  /** Nothing where no point of the site stands near by. */
  point: SitePoint | undefined;
  heightM: number;
  /** The kit which is drawn there. */
  kit: GroundNode | undefined;
}

const isMast = ({ kind }: Way): boolean => kind === 'tower leg';

/** Where the cables on masts are tied to them: at the top below the antenna’s tail, at the foot above the bend, on long masts between. */
export function kitPlaces(site: Site, ways: readonly WaySheet[]): KitPlace[] {
  const climbs = new Map<string, { runName: string; jacketMm: number; points: SitePoint[] }>();
  for (const { way, cables } of ways.filter((one) => isMast(one.way)))
    for (const { runId, run, cable } of cables) {
      const known = climbs.get(runId) ?? { runName: run, jacketMm: cable.jacketMm, points: [] };
      known.points.push(pointOf(site, way.from), pointOf(site, way.to));
      climbs.set(runId, known);
    }
  return [...climbs].flatMap(([run, { runName, jacketMm, points }]) => {
    const [foot, ...above] = points.toSorted((x, y) => x.zM - y.zM);
    const top = above[above.length - 1];
    const climbM = top.zM - foot.zM;
    const between = Array.from({ length: Math.max(0, Math.ceil(climbM / KIT_EVERY_M) - 1) }, (_, k) => {
      const heightM = foot.zM + (k + 1) * KIT_EVERY_M;
      const near = site.points.filter(
        ({ id, kind, zM }) =>
          kind === 'mast point' && id !== top.id && Math.abs(zM - heightM) < KIT_EVERY_M / 2,
      );
      const [point] = near.toSorted((x, y) => Math.abs(x.zM - heightM) - Math.abs(y.zM - heightM));
      return { where: 'between' as const, point: point, heightM };
    });
    const places = [
      { where: 'top' as const, point: top as SitePoint | undefined, heightM: top.zM },
      ...(climbM > 0
        ? [{ where: 'foot' as const, point: foot as SitePoint | undefined, heightM: foot.zM }]
        : []),
      ...between,
    ];
    return places.map((place): KitPlace => ({
      run,
      runName,
      jacketMm,
      ...place,
      kit: site.ground.nodes.find(
        ({ kit, point }) => kit?.run === run && point !== undefined && point === place.point?.id,
      ),
    }));
  });
}
