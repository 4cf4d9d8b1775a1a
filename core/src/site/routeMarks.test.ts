import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { cable, sheetOf } from '../run/aRun.fixture.js';
import { aSite, routed } from './aSite.fixture.js';
import { heightProfile, onSite, routeMarks, type RouteMark, type Site } from './index.js';

/** The site of the fixture: 2.5 m in, 0.4 m of drip loop, 10 m of duct, 12 m up the mast. */
function marksOf(site: Site): RouteMark[] {
  const design = onSite(routed({ pieces: [cable({ lengthM: 25.5 })] }), site);
  const profile = heightProfile(design, site);
  if (!profile) throw new Error('no profile');
  return routeMarks(profile, { design, sheet: sheetOf(design), runId: 'run-0' }, site, catalog);
}
const placesOf = (marks: readonly RouteMark[], kind: RouteMark['kind']): number[] =>
  marks.filter((one) => one.kind === kind).map(({ atM }) => Number(atM.toFixed(2)));

describe('what is along a run', () => {
  // Handbook of the trade, from memory: a clip each metre for 10 mm, 0.6 m in ice; none in a duct or tray.
  it('supports stand at their distance up the mast, closer in ice', () => {
    const [bare, iced] = [aSite(), aSite({ mast: { iceMm: 20 } })].map((site) =>
      placesOf(marksOf(site), 'support'),
    );
    expect(bare).toEqual(Array.from({ length: 12 }, (_, k) => Number((12.9 + 1 + k).toFixed(2))));
    expect(iced).toHaveLength(20);
  });

  it('the loop stands where its way ends, a bend where it was drawn, each at its height', () => {
    const marks = marksOf(aSite({ mast: { bends: [{ atM: 3, degrees: 90, radiusMm: 200 }] } }));
    expect(placesOf(marks, 'loop')).toEqual([2.5]);
    expect(placesOf(marks, 'bend')).toEqual([15.9]);
    expect(marks.find(({ kind }) => kind === 'bend')).toMatchObject({ way: 'mast', what: '90° bend' });
    expect(marks.find(({ kind }) => kind === 'bend')?.zM).toBeCloseTo(4);
    expect(marks.find(({ kind }) => kind === 'loop')?.what).toBe('drip loop');
  });

  it('boxes and ground kits stand at their points, once each; another run’s kit does not', () => {
    const plain = aSite();
    const site: Site = {
      ...plain,
      points: plain.points.map((one) =>
        one.id === 'plate' ? { ...one, kind: 'entry', name: 'Plate' } : one,
      ),
      ground: {
        ...plain.ground,
        nodes: ['run-0', 'run-1'].map((run) => ({
          id: `kit-${run}`,
          name: `Kit of ${run}`,
          kind: 'ground kit' as const,
          metal: 'copper' as const,
          point: 'top',
          kit: { run, fromMm: 8, toMm: 12 },
        })),
      },
    };
    const marks = marksOf(site);
    expect(marks.filter(({ kind }) => kind === 'box').map(({ what, atM }) => [what, atM])).toEqual([
      ['Plate', 2.5],
    ]);
    expect(marks.filter(({ kind }) => kind === 'ground kit').map(({ what }) => what)).toEqual([
      'Kit of run-0',
    ]);
    expect(placesOf(marks, 'ground kit')).toEqual([24.9]);
  });

  it('the antenna’s joint is sealed at the end of the cable; they stand in order', () => {
    const marks = marksOf(aSite());
    expect(placesOf(marks, 'seal').at(-1)).toBe(25.5);
    expect(marks.map(({ atM }) => atM)).toEqual(marks.map(({ atM }) => atM).toSorted((x, y) => x - y));
  });
});
