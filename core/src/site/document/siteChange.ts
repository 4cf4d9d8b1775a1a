import type { Bond, Ground, GroundNode, GroundReading } from './ground.js';
import type { DaySetup } from './day.js';
import type { SitePhoto } from './sitePhoto.js';
import type { PlanPicture } from './planPicture.js';
import type { Site, SitePoint, Way } from './site.js';

/** One change of a site: what remedies apply and what undo takes back. Plain data. */
export type SiteChange =
  | { op: 'put point'; point: SitePoint }
  | { op: 'remove point'; id: string }
  | { op: 'put way'; way: Way }
  | { op: 'remove way'; id: string }
  | { op: 'put node'; node: GroundNode }
  | { op: 'remove node'; id: string }
  | { op: 'put bond'; bond: Bond }
  | { op: 'remove bond'; id: string }
  | { op: 'put reading'; reading: GroundReading }
  | { op: 'remove reading'; id: string }
  | { op: 'set ground'; ground: Partial<Omit<Ground, 'nodes' | 'bonds' | 'readings'>> }
  | { op: 'set picture'; picture: PlanPicture | undefined }
  | { op: 'set days'; days: [DaySetup, ...DaySetup[]] }
  | { op: 'put photo'; photo: SitePhoto }
  | { op: 'remove photo'; id: string }
  | { op: 'set site'; site: Site };

const put = <T extends { id: string }>(all: readonly T[], one: T): T[] =>
  all.some(({ id }) => id === one.id) ? all.map((old) => (old.id === one.id ? one : old)) : [...all, one];

const without = <T extends { id: string }>(all: readonly T[], gone: (one: T) => boolean): T[] =>
  all.filter((one) => !gone(one));

function withoutPoint(site: Site, id: string): Site {
  return {
    ...site,
    points: without(site.points, (one) => one.id === id),
    ways: without(site.ways, ({ from, to }) => from === id || to === id),
    ground: {
      ...site.ground,
      nodes: site.ground.nodes.map((node) => (node.point === id ? placeless(node) : node)),
    },
  };
}

/** Applies a change; the given site is not touched. What leads to a removed point or node goes with it. */
export function applySiteChange(site: Site, change: SiteChange): Site {
  if (isOfGround(change)) return { ...site, ground: groundWith(site.ground, change) };
  switch (change.op) {
    case 'put point':
      return { ...site, points: put(site.points, change.point) };
    case 'remove point':
      return withoutPoint(site, change.id);
    case 'put way':
      return { ...site, ways: put(site.ways, change.way) };
    case 'remove way':
      return { ...site, ways: without(site.ways, ({ id }) => id === change.id) };
    case 'set picture':
      return withPicture(site, change.picture);
    case 'set days':
      return withDays(site, change.days);
    case 'put photo':
      return { ...site, photos: put(site.photos ?? [], change.photo) };
    case 'remove photo':
      return { ...site, photos: without(site.photos ?? [], ({ id }) => id === change.id) };
    case 'set site':
      return change.site;
  }
}

function withDays({ nextDays: _, ...site }: Site, [day, ...nextDays]: [DaySetup, ...DaySetup[]]): Site {
  return { ...site, day, ...(nextDays.length > 0 ? { nextDays } : {}) };
}

function withPicture({ picture: _, ...site }: Site, picture: PlanPicture | undefined): Site {
  return picture ? { ...site, picture } : site;
}

const placeless = ({ point: _, ...node }: GroundNode): GroundNode => node;

type GroundChange = Extract<SiteChange, { op: `${string} ${'node' | 'bond' | 'reading' | 'ground'}` }>;

const isOfGround = (change: SiteChange): change is GroundChange =>
  /(node|bond|reading|ground)$/.test(change.op);

function groundWith(ground: Ground, change: GroundChange): Ground {
  const { nodes, bonds, readings } = ground;
  switch (change.op) {
    case 'put node':
      return { ...ground, nodes: put(nodes, change.node) };
    case 'remove node': {
      const { id: gone } = change;
      const cut = bonds.filter(({ from, to }) => from === gone || to === gone).map(({ id }) => id);
      return {
        ...ground,
        nodes: without(nodes, ({ id }) => id === gone),
        bonds: without(bonds, ({ id }) => cut.includes(id)),
        readings: without(readings, ({ about }) => about === gone || cut.includes(about)),
      };
    }
    case 'put bond':
      return { ...ground, bonds: put(bonds, change.bond) };
    case 'remove bond':
      return {
        ...ground,
        bonds: without(bonds, ({ id }) => id === change.id),
        readings: without(readings, ({ about }) => about === change.id),
      };
    case 'put reading':
      return { ...ground, readings: put(readings, change.reading) };
    case 'remove reading':
      return { ...ground, readings: without(readings, ({ id }) => id === change.id) };
    case 'set ground':
      return { ...ground, ...change.ground };
  }
}
