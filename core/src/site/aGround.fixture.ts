import { arrester, cable } from '../run/aRun.fixture.js';
import { aSite, point, routed, surveyOf } from './aSite.fixture.js';
import { arresterNode, emptyGround, type Bond, type Ground, type GroundNode } from './document/ground.js';
import { applySiteChange } from './document/siteChange.js';
import type { Site } from './document/site.js';
import type { SiteSheet, SiteSnag } from './sheet.js';

export const node = (id: string, kind: GroundNode['kind'], over: Partial<GroundNode> = {}): GroundNode => ({
  id,
  name: id,
  kind,
  metal: 'copper',
  ...over,
});

export const bond = (from: string, to: string, over: Partial<Bond> = {}): Bond => ({
  id: `${from}-${to}`,
  from,
  to,
  lengthM: 1,
  section: { areaMm2: 16 },
  metal: 'copper',
  parallel: 1,
  sharpBends: 0,
  joint: 'clamp',
  bimetal: false,
  ...over,
});

/** 10 ft of 5/8 in. */
export const rod = { lengthM: 3.05, diameterMm: 15.9, depthM: 0 };

const kit = (id: string, at: string): GroundNode =>
  node(id, 'ground kit', { point: at, kit: { run: 'run-0', fromMm: 9, toMm: 12 } });

/** The arrester of the one run of `groundOf`. */
export const arresterOfRun = arresterNode('run-0', 'arrester');

/** Bar and rod at the plate, the building’s electrode, a rod at the mast foot 10 m away, kits on the mast: nothing is against it. */
export const aGround = (over: Partial<Ground> = {}): Ground => ({
  ...emptyGround,
  nodes: [
    node('bar', 'entry bar', { point: 'plate' }),
    node('rod', 'rod', { point: 'rod-place', electrode: rod }),
    node('building', 'building electrode'),
    node('mast-rod', 'rod', { point: 'foot', electrode: rod }),
    node('mast', 'mast', { metal: 'tinned copper', point: 'foot' }),
    kit('kit-top', 'top'),
    kit('kit-foot', 'foot'),
  ],
  bonds: [
    bond('bar', 'rod'),
    bond('bar', 'building'),
    bond('rod', 'mast-rod', { lengthM: 10 }),
    bond('mast', 'mast-rod', { lengthM: 0.5 }),
    bond('kit-top', 'mast', { lengthM: 0.5 }),
    bond('kit-foot', 'mast', { lengthM: 0.5 }),
    bond(arresterOfRun, 'bar', { lengthM: 0, joint: 'mounted', id: 'mounted' }),
  ],
  ...over,
});

export const groundedSite = (ground: Ground = aGround()): Site => {
  const site = aSite();
  return { ...site, points: [...site.points, point('rod-place', 2.5, 0)], ground };
};

/** From the rack over the arrester to the top of the mast. */
export const arrested = routed({
  pieces: [cable({ id: 'in', lengthM: 3 }), arrester(), cable({ lengthM: 22.5 })],
});

/** The site’s sheet with one run on the mast. */
export const groundOf = (site: Site = groundedSite()): SiteSheet => surveyOf(site, 1, arrested);

export const groundSnags = (ground: Partial<Ground>, rule?: string): SiteSnag[] =>
  groundOf(groundedSite(aGround(ground))).snags.filter(
    (snag) => snag.part === 'ground' && (rule === undefined || snag.rule === rule),
  );

/** Is it gone once its first remedy is applied? */
export function mendsGround(ground: Partial<Ground>, rule: string, remedy = 0): boolean {
  const [snag] = groundSnags(ground, rule);
  const mended = snag.remedies[remedy].changes.reduce(applySiteChange, groundedSite(aGround(ground)));
  return !groundOf(mended).snags.some(({ id }) => id === snag.id);
}
