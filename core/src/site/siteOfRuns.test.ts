import { describe, expect, it } from 'vitest';
import { aRun, anOutdoorRun, sheetOf } from '../run/aRun.fixture.js';
import { checkSite } from './document/checkSite.js';
import { onSite } from './onSite.js';
import { siteOfRuns } from './siteOfRuns.js';

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

  it('a run without legs, or with a route, adds nothing', () => {
    const { site, routes } = siteOfRuns([{ id: 'one', design: aRun({ legs: [] }) }]);
    expect(site.points).toEqual([]);
    expect(routes.size).toBe(0);
  });
});
