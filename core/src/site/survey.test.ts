import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { cable, sheetOf } from '../run/aRun.fixture.js';
import { aSite, onTheSite, routed, surveyOf } from './aSite.fixture.js';
import { emptySite } from './document/site.js';
import { onSite, zoneOfWay } from './onSite.js';
import { orderM, survey } from './survey.js';

describe('a run and its site', () => {
  it('legs, zones and length follow from the ways', () => {
    const { legs } = onSite(routed(), aSite());
    expect(legs.map(({ name, zone, lengthM, slackM }) => [name, zone, lengthM, slackM])).toEqual([
      ['the tray', 'dry', 2, 0],
      ['the wall', 'sheltered', 0.5, 0.4],
      ['the duct', 'buried', 10, 0],
      ['the mast', 'outdoor', 12, 0],
    ]);
    expect(sheetOf(onSite(routed(), aSite())).route.legs.value).toBeCloseTo(24.5);
  });

  it('change the duct once and every run in it is longer', () => {
    const longer = surveyOf(aSite({ duct: { lengthM: 14 } }), 3);
    const before = surveyOf(aSite(), 3);
    for (const [k, { total }] of longer.runs.entries())
      expect(total.value - before.runs[k].total.value).toBeCloseTo(4);
  });

  it('a run without a site, or without a route, is as it was', () => {
    const { route: _, ...own } = routed();
    expect(onSite(own, aSite())).toBe(own);
    const design = routed();
    expect(onSite(design, undefined)).toBe(design);
  });

  // What is worst for a joint rules.
  it('the zone of several conditions', () => {
    expect(zoneOfWay({ kind: 'tower leg', conditions: ['outside', 'salt', 'ice'] })).toBe('ice');
    expect(zoneOfWay({ kind: 'tower leg', conditions: ['outside', 'salt'] })).toBe('salt');
    expect(zoneOfWay({ kind: 'duct', conditions: ['salt'] })).toBe('buried');
    expect(zoneOfWay({ kind: 'duct', conditions: ['inside'] })).toBe('dry');
    expect(zoneOfWay({ kind: 'indoor tray', conditions: ['inside', 'heat'] })).toBe('dry');
  });
});

describe('the survey', () => {
  it('says the same in whichever order the runs come', () => {
    const site = aSite();
    const runs = ['c', 'a', 'b'].map((id) => onTheSite(site, id, { ...routed(), name: id }));
    expect(survey(site, runs, catalog)).toEqual(survey(site, runs.toReversed(), catalog));
  });

  it('every cable lies in the ways of its run, where its run is', () => {
    const { ways } = surveyOf(aSite(), 2);
    for (const { cables } of ways) expect(cables).toHaveLength(2);
    const [duct] = ways.filter(({ way }) => way.id === 'duct');
    expect(duct.cables[0]).toMatchObject({ fromM: 2.9, toM: 12.9, label: 'Main cable', reversed: false });
    expect(duct.fill?.share).toBeCloseTo((2 * 10.3 ** 2) / 50 ** 2, 2);
  });

  it('the jumper lies in the tray, the main cable behind it', () => {
    const design = routed({
      pieces: [
        cable({
          id: 'in',
          label: 'Jumper',
          cable: 'rg58',
          lengthM: 2,
          a: { part: 'n-plug-crimp-5mm' },
          b: { part: 'n-plug-crimp-5mm' },
        }),
        cable({ lengthM: 23 }),
      ],
    });
    const { ways } = surveyOf(aSite(), 1, design);
    expect(ways.map(({ cables }) => cables[0]?.label)).toEqual([
      'Jumper',
      'Main cable',
      'Main cable',
      'Main cable',
    ]);
  });

  it('a way that is walked the other way round says so', () => {
    const site = aSite();
    const [tray, wall, duct, mast] = site.ways;
    const turned = { ...site, ways: [tray, wall, { ...duct, from: duct.to, to: duct.from }, mast] };
    expect(surveyOf(turned).ways[2].cables[0].reversed).toBe(true);
  });

  // Handbook of the trade, from memory: take 42 m where 40.53 m is computed.
  it('what is ordered', () => {
    expect(orderM(40.53)).toBe(42);
    expect(orderM(3)).toBe(4);
    expect(orderM(100)).toBe(103);
  });

  it('an empty site says what to do, a sound one that nothing is against it', () => {
    expect(survey(emptySite, [], catalog).headline).toContain('No ways yet');
    expect(survey(aSite(), [], catalog).headline).toContain('0 of 4 ways in use');
  });
});
