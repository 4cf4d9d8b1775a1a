import { describe, expect, it } from 'vitest';
import { catalog, entry, withShop, type Catalog } from '../catalog/index.js';
import { defaultPractice } from '../practice/index.js';
import {
  allSubjects,
  drillKinds,
  drillsOf,
  nextQuestion,
  ownSubjects,
  type DrillKind,
  type Question,
} from './index.js';

const seeds = Array.from({ length: 300 }, (_, k) => k * 7919 + 1);
const ask = (kind: DrillKind, seed: number, of: Catalog = catalog): Question =>
  nextQuestion(
    kind,
    {
      catalog: of,
      practice: defaultPractice,
      system: 'metric',
      subjects: ownSubjects(of) ?? allSubjects(of),
    },
    {},
    seed,
  );
const questions = (kind: DrillKind): Question[] => seeds.map((seed) => ask(kind, seed));

describe('drills of the meter, the blade and the seal', () => {
  it.each(['blade', 'reading', 'seal'] as const)(
    '%s: several answers, one right, each wrong one explained',
    (kind) => {
      for (const { options, right, reason, question } of questions(kind)) {
        expect(options.length, question).toBeGreaterThanOrEqual(3);
        expect(new Set(options.map(({ text }) => text)).size).toBe(options.length);
        expect(
          options.filter(({ id }) => id === right),
          question,
        ).toHaveLength(1);
        for (const { id } of options) expect(reason(id)).toMatch(/\.$/);
      }
    },
  );

  // Handbook 3: a blade stops short of what it must not touch.
  it('blade: what is left is wider than what lies under it, and narrower than what is cut', () => {
    for (const { id, right } of questions('blade')) {
      const [, cableId, layer] = id.slice('blade:'.length).split('|');
      const cable = entry(catalog.cables, cableId);
      const [inner, outer] = {
        dielectric: [cable.centreMm, cable.dielectricMm],
        braid: [cable.dielectricMm, cable.jacketMm],
        jacket: [cable.dielectricMm, cable.jacketMm],
      }[layer] as [number, number];
      expect(parseFloat(right), id).toBeGreaterThan(inner);
      expect(parseFloat(right), id).toBeLessThan(outer);
    }
  });

  // Handbook 5: 0.6 ohm with nothing on the far end is a short; above 100 Mohm is dry.
  it('reading: a short is called a short, an open dry cable passes', () => {
    const insulation = questions('reading').filter(({ id }) => id.startsWith('reading:insulation'));
    const rightOf = (value: string): string[] =>
      insulation.filter(({ id }) => id.endsWith(`|${value}`)).map(({ right }) => right);
    for (const right of rightOf('3')) expect(right).toMatch(/^Fail\. Shorted/);
    for (const right of rightOf('0')) expect(right).toMatch(/^Pass\./);
    expect(rightOf('3').length).toBeGreaterThan(5);
  });

  // Handbook 6: the last pass of every layer upwards; nothing taped is buried.
  it('seal: the last pass runs upwards, and a buried joint is not taped', () => {
    for (const { id, right } of questions('seal')) {
      if (id.startsWith('seal:passes')) expect(right).toMatch(/(come back up|up again), so that|jacket up/);
      if (id.startsWith('seal:buried')) expect(right).not.toMatch(/tape/i);
    }
  });
});

describe('whose parts are drilled', () => {
  it('a shop which has entered nothing is asked from the whole catalogue', () => {
    expect(ownSubjects(catalog)).toBeUndefined();
    expect(drillsOf(allSubjects(catalog))).toEqual([...drillKinds]);
  });

  it('with reels on the shelf, only their cables and the connectors which fit them', () => {
    const reel = { id: 'r', name: 'Reel', cable: 'rg58', lot: '', lengthM: 40, isNew: true, damaged: [] };
    const shop = withShop(catalog, [{ kind: 'reel', data: reel }]);
    for (const kind of ['order', 'blade', 'reading'] as const)
      for (const seed of seeds.slice(0, 40)) expect(ask(kind, seed, shop).id, kind).toContain('rg58');
  });
});
