import { describe, expect, it } from 'vitest';
import { aSite, routed } from './aSite.fixture.js';
import { heightProfile, onSite, type Site } from './index.js';

const profileOf = (site: Site) => heightProfile(onSite(routed(), site), site);

describe('how high a run is along its ruler', () => {
  // The site: 2.5 m indoors at 1 m, 0.4 m of drip loop, 10 m of duct at 1 m, 12 m up the mast to 13 m.
  it('rises where its ways rise', () => {
    const line = profileOf(aSite())?.line ?? [];
    expect(line[0]).toEqual({ atM: 0, zM: 1 });
    expect(line.filter(({ atM }) => atM <= 12.9 + 1e-9).every(({ zM }) => zM === 1)).toBe(true);
    expect(line.at(-1)?.atM).toBeCloseTo(24.9);
    expect(line.at(-1)?.zM).toBe(13);
    for (const [k, { atM }] of line.entries()) if (k > 0) expect(atM).toBeGreaterThanOrEqual(line[k - 1].atM);
  });

  it('is the same for a way that was drawn the other way round, bends included', () => {
    const bend = { degrees: 90, radiusMm: 200 };
    const site = aSite({ mast: { bends: [{ ...bend, atM: 3 }] } });
    const [tray, wall, duct, mast] = site.ways;
    const turned = {
      ...site,
      ways: [tray, wall, duct, { ...mast, from: mast.to, to: mast.from, bends: [{ ...bend, atM: 9 }] }],
    };
    for (const part of ['line', 'bends'] as const)
      expect(profileOf(turned)?.[part]).toEqual(profileOf(site)?.[part]);
    expect(profileOf(site)?.bends).toMatchObject([{ way: 'mast', radiusMm: 200 }]);
    expect(profileOf(site)?.bends[0].zM).toBeCloseTo(4);
    expect(profileOf(site)?.bends[0].atM).toBeCloseTo(15.9);
  });

  it('is not known of a run with legs of its own', () => {
    const { route: _, ...own } = routed();
    expect(heightProfile(own, aSite())).toBeUndefined();
  });
});
