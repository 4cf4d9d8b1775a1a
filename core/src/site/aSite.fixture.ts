import { catalog } from '../catalog/index.js';
import { aRun, anOutdoorRun, cable, sheetOf } from '../run/aRun.fixture.js';
import type { Design } from '../run/index.js';
import { emptySite, type Site, type SitePoint, type Way } from './document/site.js';
import { onSite } from './onSite.js';
import type { SiteSheet, SiteSnag } from './sheet.js';
import type { SurveyedRun } from './waySheet.js';
import { survey } from './survey.js';

export const point = (id: string, xM: number, zM = 0, over: Partial<SitePoint> = {}): SitePoint => ({
  id,
  name: id,
  kind: 'free',
  xM,
  yM: 0,
  zM,
  ...over,
});

export const way = (id: string, from: string, to: string, over: Partial<Way> = {}): Way => ({
  id,
  name: `the ${id}`,
  kind: 'surface clipped',
  from,
  to,
  via: [],
  conditions: ['outside'],
  bends: [],
  beside: [],
  ...over,
});

/** A rack, a plate in the wall, a duct of 40 mm and 10 m to the foot of a mast of 12 m. */
export const aSite = (over: Partial<Record<'tray' | 'wall' | 'duct' | 'mast', Partial<Way>>> = {}): Site => ({
  ...emptySite,
  points: [
    point('rack', 0, 1),
    point('inner', 2, 1),
    point('plate', 2.5, 1),
    point('foot', 12.5, 1),
    point('top', 12.5, 13),
  ],
  ways: [
    way('tray', 'rack', 'inner', { kind: 'indoor tray', conditions: ['inside'], ...over.tray }),
    way('wall', 'inner', 'plate', { kind: 'wall feed-through', conditions: ['sheltered'], ...over.wall }),
    way('duct', 'plate', 'foot', {
      kind: 'duct',
      conditions: ['buried', 'wet'],
      duct: { boreMm: 50, lubricated: false, drained: true, cord: true },
      ...over.duct,
    }),
    way('mast', 'foot', 'top', { kind: 'tower leg', ...over.mast }),
  ],
});

/** From the rack to the top of the mast, with a drip loop at the wall. */
export const route = ['tray', 'wall', 'duct', 'mast'].map((id) => ({
  way: id,
  slack: id === 'wall' ? [{ cause: 'drip loop' as const, lengthM: 0.4 }] : [],
}));

export const routed = (over: Partial<Design> = {}): Design =>
  aRun({ legs: [], pieces: [cable({ lengthM: 25.5 })], route, ...over });

export const onTheSite = (site: Site, id: string, design: Design): SurveyedRun => {
  const resolved = onSite(design, site);
  return { id, design: resolved, sheet: sheetOf(resolved), installed: false };
};

/** A site with so many equal runs in it. */
export const surveyOf = (site: Site, runs = 1, design: Design = routed()): SiteSheet =>
  survey(
    site,
    Array.from({ length: runs }, (_, k) => onTheSite(site, `run-${k}`, { ...design, name: `Run ${k + 1}` })),
    catalog,
  );

/** What one rule has against a site. */
export const siteSnagsOf = (site: Site, rule: string, runs = 1, design?: Design): SiteSnag[] =>
  surveyOf(site, runs, design).snags.filter((snag) => snag.rule === rule);

export { anOutdoorRun };
