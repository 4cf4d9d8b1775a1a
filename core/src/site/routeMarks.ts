import { entry, type Catalog } from '../catalog/index.js';
import { assembliesOf, type Design, type Sheet } from '../run/index.js';
import type { PointKind, Site } from './document/site.js';
import { heightAt, type HeightProfile } from './heightProfile.js';
import { supportSpacingM } from './way/hang.js';
import { pointOf } from './way/path.js';

/** What is to be found along a run’s route. */
export const routeMarkKinds = ['bend', 'support', 'loop', 'box', 'ground kit', 'seal'] as const;
export type RouteMarkKind = (typeof routeMarkKinds)[number];

/** A place along a run where something is. */
export interface RouteMark {
  kind: RouteMarkKind;
  /** From the radio, m; and its height. */
  atM: number;
  zM: number;
  /** `drip loop`, `90° bend`. */
  what: string;
  /** Id of the way it is in. */
  way: string;
}

/** Points at which a cable is reached. */
const boxes: readonly PointKind[] = ['entry', 'box or pit'];

/**
 * Bends, supports, loops, boxes, ground kits and seals of a run, in the order of its ruler.
 *
 * @param runId the run as the site’s ground kits call it
 */
export function routeMarks(
  profile: HeightProfile,
  {
    design,
    sheet,
    runId,
  }: { design: Design; sheet: Pick<Sheet, 'pieces' | 'wraps' | 'joints'>; runId: string },
  site: Site,
  catalog: Catalog,
): RouteMark[] {
  const wayAt = (atM: number): string =>
    (profile.ways.find(({ toM }) => atM <= toM + 1e-9) ?? profile.ways[profile.ways.length - 1]).way.id;
  const mark = (kind: RouteMarkKind, atM: number, what: string, way = wayAt(atM)): RouteMark => ({
    kind,
    atM,
    zM: heightAt(profile, atM),
    what,
    way,
  });
  const marks = profile.bends.map(({ atM, degrees, way }) => mark('bend', atM, `${degrees}° bend`, way));
  for (const [k, lies] of profile.ways.entries()) {
    const { way, fromM, cableToM, toM } = lies;
    const everyM = spacingIn(lies, design, sheet, catalog);
    for (let n = 1; everyM !== undefined && n * everyM <= cableToM - fromM + 1e-9; n++)
      marks.push(mark('support', fromM + n * everyM, `support in ${way.name}`, way.id));
    const causes = (design.route?.[k]?.slack ?? []).map(({ cause }) => cause);
    if (toM > cableToM + 1e-9) marks.push(mark('loop', cableToM, causes.join(', ') || 'slack', way.id));
    for (const { kind, what, atM } of atPoints(lies, site, runId))
      if (!marks.some((one) => one.kind === kind && one.what === what))
        marks.push(mark(kind, atM, what, way.id));
  }
  for (const { jointId, name } of sheet.wraps) {
    const joint = sheet.joints.find(({ id }) => id === jointId);
    if (joint) marks.push(mark('seal', joint.atM, `seal of ${name}`));
  }
  return marks.sort((x, y) => x.atM - y.atM);
}

/** Boxes, and ground kits of this run, at both ends of a way. */
function atPoints(
  { way, fromM, cableToM, reversed }: HeightProfile['ways'][number],
  site: Site,
  runId: string,
): Pick<RouteMark, 'kind' | 'what' | 'atM'>[] {
  const [first, last] = reversed ? [way.to, way.from] : [way.from, way.to];
  const ends = [
    [first, fromM],
    [last, cableToM],
  ] as const;
  return ends.flatMap(([id, atM]) => {
    const { kind, name } = pointOf(site, id);
    return [
      ...(boxes.includes(kind) ? [{ kind: 'box' as const, what: name, atM }] : []),
      ...site.ground.nodes
        .filter(({ kit, point }) => kit?.run === runId && point === id)
        .map((node) => ({ kind: 'ground kit' as const, what: node.name, atM })),
    ];
  });
}

/** Distance of supports of the cable which has most of a way, m. */
function spacingIn(
  { way, fromM, cableToM }: HeightProfile['ways'][number],
  design: Design,
  sheet: Pick<Sheet, 'pieces'>,
  catalog: Catalog,
): number | undefined {
  const middleM = (fromM + cableToM) / 2;
  const at = sheet.pieces.findLast((placed) => placed.fromM <= middleM);
  const assembly = assembliesOf(design).find(({ id }) => id === at?.id);
  return assembly && supportSpacingM(way, entry(catalog.cables, assembly.cable));
}
