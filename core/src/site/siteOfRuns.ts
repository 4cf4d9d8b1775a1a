import { freshId, type Design, type Leg, type RouteStep } from '../run/index.js';
import {
  emptySite,
  unseenDuct,
  type Condition,
  type Site,
  type SitePoint,
  type Way,
} from './document/site.js';

/** A site made of what runs say of their own legs, and the route each of them has in it. */
export interface SiteOfRuns {
  site: Site;
  /** By the id of the run. */
  routes: Map<string, RouteStep[]>;
  /** Ways which several runs share now: their legs were equal. */
  shared: string[];
}

const conditionsOf: Record<Leg['zone'], Condition[]> = {
  dry: ['inside'],
  sheltered: ['sheltered'],
  outdoor: ['outside', 'sun'],
  buried: ['buried'],
  salt: ['outside', 'salt'],
  ice: ['outside', 'ice'],
};

/** Legs are one way when they are called, laid and measured alike. */
const likeness = ({ name, kind, zone, lengthM, bendRadiusMm }: Leg): string =>
  JSON.stringify([name.trim().toLowerCase(), kind, zone, lengthM, bendRadiusMm ?? null]);

const goesUp = (kind: Leg['kind']): boolean => kind === 'tower leg' || kind === 'riser';

/** A site as it grows, run by run. */
class Growing {
  readonly points: SitePoint[] = [];
  readonly ways: Way[] = [];
  private readonly byLikeness = new Map<string, Way>();

  pointOf(id: string | undefined): SitePoint | undefined {
    return this.points.find((point) => point.id === id);
  }

  addPoint(point: Omit<SitePoint, 'id'>): SitePoint {
    const made = { ...point, id: freshId(this.points, slug(point.name)) };
    this.points.push(made);
    return made;
  }

  /** The way of an equal leg, unless it begins elsewhere: then it is another one. */
  sharedWay(leg: Leg, start: SitePoint | undefined): Way | undefined {
    const same = this.byLikeness.get(likeness(leg));
    return same && (!start || same.from === start.id) ? same : undefined;
  }

  /** A way for a leg from a point to one of its own, straight on or up. */
  addWay(leg: Leg, from: SitePoint, end: Pick<SitePoint, 'name' | 'kind'>): Way {
    const up = goesUp(leg.kind);
    const to = this.addPoint({
      ...end,
      xM: round(from.xM + (up ? 0 : leg.lengthM)),
      yM: from.yM,
      zM: round(from.zM + (up ? leg.lengthM : 0)),
    });
    const way: Way = {
      id: freshId(this.ways, slug(leg.name)),
      name: leg.name,
      kind: leg.kind,
      from: from.id,
      to: to.id,
      via: [],
      ...(leg.kind === 'duct' ? { duct: { ...unseenDuct, boreMm: leg.boreMm ?? unseenDuct.boreMm } } : {}),
      conditions: conditionsOf[leg.zone],
      lengthM: leg.lengthM,
      bends:
        leg.bendRadiusMm === undefined
          ? []
          : [{ atM: round(leg.lengthM / 2), degrees: 90, radiusMm: leg.bendRadiusMm }],
      beside: [],
    };
    this.ways.push(way);
    const alike = likeness(leg);
    if (!this.byLikeness.has(alike)) this.byLikeness.set(alike, way);
    return way;
  }
}

const endOf = (leg: Leg, isLast: boolean, antenna: string): Pick<SitePoint, 'name' | 'kind'> =>
  isLast
    ? { name: antenna, kind: 'antenna' }
    : { name: `end of ${leg.name}`, kind: leg.kind === 'wall feed-through' ? 'entry' : 'free' };

/**
 * Makes a site of runs which have none: each leg becomes a way, legs which are equal become one, and what leads on from the same way begins
 * at the same point. Points are put at their distance from the start, since nobody has said where they are: their ways keep the lengths
 * of the legs.
 *
 * @param runs in their order, by their ids
 */
export function siteOfRuns(runs: readonly { id: string; design: Design }[]): SiteOfRuns {
  const growing = new Growing();
  const users = new Map<string, Set<string>>();
  const routes = new Map<string, RouteStep[]>();
  for (const [row, { id, design }] of runs.entries()) {
    const { legs, radio, antenna, route } = design;
    if (legs.length === 0 || route) continue;
    let at: SitePoint | undefined;
    const steps = legs.map((leg, k): RouteStep => {
      const shared = growing.sharedWay(leg, at);
      const from =
        at ??
        growing.pointOf(shared?.from) ??
        growing.addPoint({ name: radio.name, kind: 'rack', xM: 0, yM: -row, zM: 1 });
      const way = shared ?? growing.addWay(leg, from, endOf(leg, k === legs.length - 1, antenna.name));
      users.set(way.id, (users.get(way.id) ?? new Set()).add(id));
      at = growing.pointOf(way.to);
      return { way: way.id, slack: leg.slackM > 0 ? [{ cause: 'other', lengthM: leg.slackM }] : [] };
    });
    routes.set(id, steps);
  }
  const { points, ways } = growing;
  return {
    site: { ...emptySite, points, ways },
    routes,
    shared: [...users].filter(([, who]) => who.size > 1).map(([way]) => way),
  };
}

const round = (metres: number): number => Math.round(metres * 1000) / 1000;

const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'place';
