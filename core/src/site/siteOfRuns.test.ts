import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { aRun, anOutdoorRun, sheetOf } from '../run/aRun.fixture.js';
import { checkSite } from './document/checkSite.js';
import { onSite } from './onSite.js';
import { siteOfRuns } from './siteOfRuns.js';
import { survey } from './survey.js';

const another = anOutdoorRun({
  name: 'Another',
  antenna: { name: 'Yagi', face: 'n-jack', swr: 1.3, dcShort: true },
});

describe('a site made of the legs of runs', () => {
  it('every run keeps its length, its zones and its problems', () => {
    const runs = [anOutdoorRun(), another, aRun()].map((design, k) => ({ id: `run-${k}`, design }));
    const { site, routes } = siteOfRuns(runs);
    expect(checkSite(site)).toEqual([]);
    for (const { id, design } of runs) {
      const before = sheetOf(design);
      const after = sheetOf(onSite({ ...design, route: routes.get(id) ?? [] }, site));
      expect(after.route.total.value).toBeCloseTo(before.route.total.value, 9);
      expect(after.route.spans.map(({ zone }) => zone)).toEqual(before.route.spans.map(({ zone }) => zone));
      expect(after.snags.map((snag) => snag.id)).toEqual(before.snags.map((snag) => snag.id));
    }
  });

  it('equal legs are one way which both share, others are not', () => {
    const { site, shared } = siteOfRuns([
      { id: 'one', design: anOutdoorRun() },
      { id: 'two', design: another },
      {
        id: 'three',
        design: anOutdoorRun({
          legs: [{ id: 'x', name: 'elsewhere', kind: 'aerial', zone: 'outdoor', lengthM: 3, slackM: 0 }],
        }),
      },
    ]);
    expect(site.ways.map(({ name }) => name)).toEqual(['the tray', 'the mast', 'elsewhere']);
    expect(shared).toEqual(['tray', 'mast'].map((_, k) => site.ways[k].id));
  });

  it('a leg in a duct becomes a duct, whose bore, drain and cord are asked for', () => {
    const leg = { id: 'd', name: 'the duct', kind: 'duct', zone: 'buried', lengthM: 9, slackM: 0 } as const;
    const ductOf = (legs: (typeof leg & { boreMm?: number })[]) =>
      siteOfRuns([{ id: 'one', design: anOutdoorRun({ legs }) }]).site.ways[0].duct;
    expect(ductOf([leg])).toMatchObject({ drained: false, cord: false, lubricated: false });
    expect(ductOf([{ ...leg, boreMm: 63 }])?.boreMm).toBe(63);
    // What the survey asks of it: common practice, no source.
    const { site, routes } = siteOfRuns([{ id: 'one', design: anOutdoorRun({ legs: [leg] }) }]);
    const design = onSite({ ...anOutdoorRun(), route: routes.get('one') ?? [] }, site);
    const run = { id: 'one', design, sheet: sheetOf(design), installed: false };
    expect(survey(site, [run], catalog).snags.map(({ rule }) => rule)).toEqual(
      expect.arrayContaining(['duct-drain', 'duct-cord']),
    );
  });

  it('a run without legs, or with a route, adds nothing', () => {
    const { site, routes } = siteOfRuns([{ id: 'one', design: aRun({ legs: [] }) }]);
    expect(site.points).toEqual([]);
    expect(routes.size).toBe(0);
  });
});
