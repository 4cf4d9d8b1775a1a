import { describe, expect, it } from 'vitest';
import { aSite, point, way } from '../aSite.fixture.js';
import { groundedSite } from '../aGround.fixture.js';
import { applySiteChange, checkSite, renameRuns, type SiteChange } from '../index.js';

const site = aSite();

describe('a site', () => {
  it('that names what it has is sound; ways to nowhere, loops and names used twice have their place', () => {
    expect(checkSite(site)).toEqual([]);
    const spoilt = {
      ...site,
      points: [...site.points, point('rack', 9)],
      ways: [...site.ways, way('tray', 'rack', 'rack'), way('lost', 'rack', 'moon')],
    };
    expect(checkSite(spoilt).map(({ code, where }) => [code, where])).toEqual([
      ['site.same-id', 'points[5].id'],
      ['site.same-id', 'ways[4].id'],
      ['site.loop', 'ways[4].to'],
      ['site.way-to-nowhere', 'ways[5].to'],
    ]);
  });

  it('is changed without touching what it was', () => {
    const before = JSON.stringify(site);
    const changes: SiteChange[] = [
      { op: 'put point', point: point('new', 3) },
      { op: 'put point', point: point('rack', 7) },
      { op: 'put way', way: way('more', 'rack', 'new') },
      { op: 'remove way', id: 'tray' },
    ];
    const after = changes.reduce(applySiteChange, site);
    expect(JSON.stringify(site)).toBe(before);
    expect(after.points.find(({ id }) => id === 'rack')?.xM).toBe(7);
    expect(after.ways.map(({ id }) => id)).toEqual(['wall', 'duct', 'mast', 'more']);
  });

  it('ways go with the point they lead to, so that none leads to nowhere', () => {
    const after = applySiteChange(site, { op: 'remove point', id: 'plate' });
    expect(after.ways.map(({ id }) => id)).toEqual(['tray', 'mast']);
    expect(checkSite(after)).toEqual([]);
  });

  it('calls its runs as a file does, and back again', () => {
    const grounded = groundedSite();
    const inFile = renameRuns(grounded, new Map([['run-0', 'first']]));
    expect(inFile.ground.nodes.flatMap(({ kit }) => kit?.run ?? [])).toEqual(['first', 'first']);
    expect(inFile.ground.bonds.at(-1)?.from).toBe('first.arrester');
    expect(renameRuns(inFile, new Map([['first', 'run-0']]))).toEqual(grounded);
    expect(renameRuns(grounded, new Map())).toEqual(grounded);
  });
});
