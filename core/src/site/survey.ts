import { entry, type Catalog } from '../catalog/index.js';
import { figure, formatResistance } from '../quantity/index.js';
import { assembliesOf, type Assembly, type EndSheet } from '../run/index.js';
import { isReversed, waysOf } from './chain.js';
import type { Site, Way } from './document/site.js';
import type { CodeProfile } from '../ground/index.js';
import { groundSheet, type GroundSheet } from './ground/groundSheet.js';
import type { RunOnSite, SiteSheet } from './sheet.js';
import type { CableInWay, PullPlan, Supports, SurveyedRun, WaySheet } from './waySheet.js';
import { siteSnagsOf } from './snags/index.js';
import { icedWeightNPerM, spanLimit, spanTension, USUAL_SAG } from './way/aerial.js';
import { connectorPasses, fillLimit, fillOf, layInDuct } from './way/duct.js';
import { gripsFor, supportSpacingM } from './way/hang.js';
import { pointOf, reversedStretches, riseM, stretchesOf, wayLength } from './way/path.js';
import { windLoad, windNPerM } from './way/wind.js';
import { FRICTION, GRAVITY, pullAlong, pullLimit, weightNPerM } from './way/pull.js';

/**
 * The second hallway: a site and the sheets of its runs go in, the site’s sheet comes out. Pure, and the same in whichever order the runs come.
 *
 * @param site a site which has passed `readSite`
 * @param own code profiles of the shop
 * @returns ways with what lies in them, what each run asks for, and problems
 */
export function survey(
  site: Site,
  given: readonly SurveyedRun[],
  catalog: Catalog,
  own: readonly CodeProfile[] = [],
): SiteSheet {
  const runs = given.toSorted((x, y) => (x.id < y.id ? -1 : 1));
  const byWay = new Map<string, CableInWay[]>();
  for (const run of runs)
    for (const { way, cable } of cablesOf(site, run, catalog))
      byWay.set(way, [...(byWay.get(way) ?? []), cable]);
  const ways = site.ways.map((way) => waySheet(site, way, byWay.get(way.id) ?? []));
  const onSites = runs.map(runOnSite);
  const ground = groundSheet(site, ways, runs, catalog, own);
  const snags = siteSnagsOf({ site, ways, runs: onSites, ground });
  return {
    headline: headlineOf(site, ways, snags),
    ways,
    runs: onSites,
    ground,
    groundHeadline: groundHeadlineOf(ground, snags),
    snags,
  };
}

function headlineOf({ ways: all }: Site, ways: readonly WaySheet[], snags: SiteSheet['snags']): string {
  if (all.length === 0) return 'No ways yet: where do cables go?';
  const worst = snags.find(({ part }) => part === 'ways');
  if (worst) return worst.what;
  const full = ways.filter(({ cables }) => cables.length > 0).length;
  return `${full} of ${ways.length} ${ways.length === 1 ? 'way' : 'ways'} in use, nothing against them`;
}

function groundHeadlineOf({ drawn, earth, nodes, state }: GroundSheet, snags: SiteSheet['snags']): string {
  if (!drawn) return 'Nothing drawn yet: what is tied to what?';
  const worst = snags.find(({ part, level }) => part === 'ground' && level !== 'note');
  if (worst) return worst.what;
  const { resistance, reading } = earth;
  const ohm = resistance
    ? `, ${formatResistance(resistance.value)} to earth, ${reading ? 'measured' : 'computed'}`
    : '';
  const tied = nodes.filter((node) => node.tied);
  const joined = tied.filter((node) => node.joined).length;
  const made =
    state === 'done'
      ? ', all joined and tested'
      : joined < tied.length
        ? `, ${joined > 1 ? joined : 'none'} of them logged as joined`
        : '';
  return `${tied.length} parts drawn as one system${ohm}${made}`;
}

/** Which cable of a run lies in each way of its route. */
function cablesOf(
  site: Site,
  { id, design, sheet, installed, pulledInto }: SurveyedRun,
  catalog: Catalog,
): { way: string; cable: CableInWay }[] {
  if (!design.route) return [];
  const chain = waysOf(design, site);
  const placedOf = new Map(sheet.pieces.map((one) => [one.id, one]));
  const assemblies = assembliesOf(design).flatMap((assembly) => {
    const placed = placedOf.get(assembly.id);
    return placed ? [{ assembly, placed }] : [];
  });
  return sheet.route.spans.flatMap(({ fromM, toM, leg }) => {
    const way = chain[leg];
    let [piece, mostM]: [Assembly | undefined, number] = [undefined, 0];
    for (const { assembly, placed } of assemblies) {
      const sharedM = Math.min(toM, placed.toM) - Math.max(fromM, placed.fromM);
      if (sharedM > mostM) [piece, mostM] = [assembly, sharedM];
    }
    if (!way || !piece) return [];
    const { id: pieceId, label, cable: kind } = piece;
    const reversed = isReversed(chain, leg);
    const ends = ['a', 'b'].map((side) =>
      sheet.ends.find((one) => one.pieceId === pieceId && one.end === side),
    );
    const [first, last] = reversed ? ends.toReversed() : ends;
    const cable: CableInWay = {
      runId: id,
      run: design.name,
      pieceId,
      label,
      cable: entry(catalog.cables, kind),
      fromM,
      toM,
      reversed,
      installed: installed || (pulledInto?.has(way.id) ?? false),
      connectorsMm: [widestMm(first), widestMm(last)],
      madeEnds: [first?.made ?? false, last?.made ?? false],
    };
    return [{ way: way.id, cable }];
  });
}

const widestMm = (end: EndSheet | undefined): number =>
  Math.max(0, ...(end?.part.train ?? []).map(({ outerMm }) => outerMm));

function waySheet(site: Site, way: Way, cables: CableInWay[]): WaySheet {
  const length = wayLength(site, way);
  const rise = riseM(site, way);
  const diameters = cables.map(({ cable }) => cable.jacketMm);
  const hangs = way.kind === 'tower leg' || way.kind === 'riser' || way.kind === 'boat deck or mast';
  const newtons = cables.reduce((sum, { cable }) => sum + weightNPerM(cable) * length.value, 0);
  return {
    way,
    length,
    riseM: rise,
    cables,
    fill: way.duct && {
      share: fillOf(way.duct.boreMm, diameters),
      limit: fillLimit(diameters.length),
      laid: layInDuct(way.duct.boreMm, diameters),
      roomForOneMore: hasRoom(way.duct.boreMm, diameters),
    },
    pulls: pullPlans(site, way, cables),
    supports: cables.flatMap((cable): Supports[] => {
      const everyM = supportSpacingM(way, cable.cable);
      if (everyM === undefined) return [];
      const grips = hangs ? gripsFor(rise, weightNPerM(cable.cable), pullLimit(cable.cable).value) : 0;
      return [{ cable, everyM, count: Math.ceil(length.value / everyM - 1e-9), grips }];
    }),
    weight: figure(newtons / GRAVITY, 'kg', 'mass of its cables, cable data'),
    wind:
      way.kind === 'tower leg' || way.kind === 'boat deck or mast'
        ? windLoad(
            cables.map(({ cable }) => cable),
            length.value,
            way,
          )
        : undefined,
    tensions: way.kind === 'aerial' ? cables.map((cable) => tensionOf(site, way, cable)) : [],
  };
}

/** Is there room for another cable like the thickest? */
const hasRoom = (boreMm: number, diameters: readonly number[]): boolean => {
  if (diameters.length === 0) return true;
  const more = [...diameters, Math.max(...diameters)];
  return fillOf(boreMm, more) <= fillLimit(more.length);
};

/** What it takes to pull each cable which does not lie there yet; cables of one size beside the same others are looked at once. */
function pullPlans(site: Site, way: Way, all: readonly CableInWay[]): PullPlan[] {
  const waiting = all.filter(({ installed }) => !installed);
  if (way.kind !== 'duct' || waiting.length === 0) return [];
  const there = stretchesOf(site, way);
  const back = reversedStretches(there, wayLength(site, way).value);
  const friction = way.duct?.lubricated ? FRICTION.lubricated : FRICTION.dry;
  const diameters = all.map(({ cable }) => cable.jacketMm);
  const known = new Map<string, boolean>();
  const passes = (own: number, connectorMm: number): boolean => {
    const key = `${own} ${connectorMm}`;
    const before = known.get(key);
    if (before !== undefined || !way.duct) return before ?? false;
    const beside = diameters.toSpliced(diameters.indexOf(own), 1);
    const found = connectorPasses(way.duct.boreMm, beside, connectorMm);
    known.set(key, found);
    return found;
  };
  return waiting.map((cable): PullPlan => {
    const weight = weightNPerM(cable.cable);
    const forward = pullAlong(there, weight, friction);
    const backward = pullAlong(back, weight, friction);
    const [first, last] = cable.connectorsMm;
    const own = cable.cable.jacketMm;
    return {
      cable,
      forward,
      backward,
      towards: forward.end.value <= backward.end.value ? 'last' : 'first',
      limit: pullLimit(cable.cable),
      passes: way.duct && [passes(own, first), passes(own, last)],
    };
  });
}

function tensionOf(site: Site, way: Way, cable: CableInWay): WaySheet['tensions'][number] {
  const [from, to] = [pointOf(site, way.from), pointOf(site, way.to)];
  const drawnM = Math.hypot(to.xM - from.xM, to.yM - from.yM);
  const spanM = way.lengthM ?? drawnM;
  const { iceMm = 0, windMps = 0 } = way;
  // Weight pulls down and wind across: the cable hangs along what both make together.
  const weight = Math.hypot(icedWeightNPerM(cable.cable, iceMm), windNPerM(cable.cable, windMps, iceMm));
  return {
    cable,
    tension: spanTension(weight, spanM, way.sagM ?? USUAL_SAG * spanM),
    limit: spanLimit(cable.cable),
  };
}

/** What is ordered over what is computed: 3 %, at least 1 m, in whole metres. Handbook of the trade, from memory. */
export const orderM = (metres: number): number => Math.ceil(metres + Math.max(1, 0.03 * metres) - 1e-9);

function runOnSite({ id, design, sheet }: SurveyedRun): RunOnSite {
  const slack = new Map<string, number>();
  for (const step of design.route ?? [])
    for (const { cause, lengthM } of step.slack) slack.set(cause, (slack.get(cause) ?? 0) + lengthM);
  const { total } = sheet.route;
  return {
    id,
    name: design.name,
    ways: (design.route ?? []).map(({ way }) => way),
    slack,
    total,
    order: figure(orderM(total.value), 'm', 'route with slack and spare, 3 % more and at least 1 m'),
  };
}
