import { describe, expect, it } from 'vitest';
import { catalog, withShop } from '../catalog/index.js';
import { defaultPractice } from '../practice/index.js';
import { arrester, cable, fact, sheetOf } from '../run/aRun.fixture.js';
import { noFacts } from '../run/facts/facts.js';
import type { Facts } from '../run/facts/kinds.js';
import { groundedSite } from '../site/aGround.fixture.js';
import { aSite, routed } from '../site/aSite.fixture.js';
import { onSite, survey } from '../site/index.js';
import {
  inPartsOrder,
  partsList,
  partsOrders,
  toolsList,
  usesSince,
  type NeedKind,
  type PlannedRun,
  emptyShopLog,
  type ShopLog,
} from './index.js';

const site = aSite();
const design = onSite(
  routed({ pieces: [cable({ id: 'in', lengthM: 3 }), arrester(), cable({ lengthM: 22.5 })] }),
  site,
);
const planned = (facts: Facts = noFacts, id = 'run-0'): PlannedRun => ({
  id,
  design,
  facts,
  sheet: sheetOf(design, facts),
});
const sheetOfSite = (runs: readonly PlannedRun[], installed = false) =>
  survey(
    site,
    runs.map(({ id }) => ({ id, design, sheet: sheetOf(design), installed })),
    catalog,
  );
const listOf = (runs: readonly PlannedRun[], own = catalog, installed = false, log: ShopLog = emptyShopLog) =>
  partsList(runs, sheetOfSite(runs, installed), own, log);
const needed = (rows: ReturnType<typeof listOf>, kind: NeedKind): number[] =>
  rows.filter((row) => row.kind === kind).map((row) => row.needed);

describe('the list of parts', () => {
  // By hand: two runs of two cables: eight ends of one plug; 2 · (3 + 22.5) m less the connectors; 12 clips each up the mast of 12 m.
  it('counts what two equal runs ask for', () => {
    const rows = listOf([planned(), planned(noFacts, 'run-1')]);
    expect(needed(rows, 'connector')).toEqual([8]);
    expect(needed(rows, 'arrester')).toEqual([2]);
    expect(needed(rows, 'support')).toEqual([24]);
    const [metres] = needed(rows, 'cable');
    expect(metres).toBeGreaterThan(50.5);
    expect(metres).toBeLessThan(51.6);
    expect(rows.find(({ kind }) => kind === 'connector')?.uses.map(({ runId }) => runId)).toContain('run-1');
  });

  // By arithmetic: twelve vans with a jumper each want twelve cables and twenty-four plugs; a batch makes some of them.
  it('multiplies what n of the same take, less what a batch has made', () => {
    const many = onSite(routed({ pieces: [cable({ lengthM: 2, count: 12 })] }), site);
    const one = onSite(routed({ pieces: [cable({ lengthM: 2 })] }), site);
    const rowsOf = (of: typeof many, facts: Facts = noFacts) =>
      partsList(
        [{ id: 'run-0', design: of, facts, sheet: sheetOf(of, facts) }],
        sheetOfSite([]),
        catalog,
        emptyShopLog,
      );
    const metres = (of: typeof many) => needed(rowsOf(of), 'cable')[0];
    expect(needed(rowsOf(many), 'connector')).toEqual([24]);
    expect(metres(many) / metres(one)).toBeCloseTo(12, 1);
    const made = ['main.a', 'main.a#1', 'main.a#2', 'main.b', 'main.b#7'].map((endId) =>
      fact({ kind: 'end made', endId }),
    );
    expect(needed(rowsOf(many, made), 'connector')).toEqual([24 - 5]);
    // One that failed afterwards is to be made again; spares beyond what is wanted are none of another end.
    const failed = fact({ kind: 'end failed', endId: 'main.b#7' }, '2027-01-01T10:00:00Z');
    expect(needed(rowsOf(many, [...made, failed]), 'connector')).toEqual([24 - 4]);
    expect(needed(rowsOf(one, made), 'connector')).toEqual([]);
  });

  it('asks no more for what is cut, made, grounded, hung or sealed', () => {
    const made = ['in.a', 'in.b', 'main.a'].map((endId) => fact({ kind: 'end made', endId }));
    const rows = listOf([
      planned([...made, fact({ kind: 'cut', pieceId: 'main' }), fact({ kind: 'grounded' })]),
    ]);
    expect(needed(rows, 'connector')).toEqual([1]);
    expect(needed(rows, 'cable')).toEqual([]);
    expect(needed(rows, 'arrester')).toEqual([]);
    expect(needed(listOf([planned()], catalog, true), 'support')).toEqual([]);
    const sealed = planned()
      .sheet.wraps.flatMap(({ jointIds }) => jointIds)
      .map((jointId) => fact({ kind: 'sealed', jointId }));
    expect(needed(listOf([planned(sealed)]), 'tape')).toEqual([]);
  });

  it('a damaged tube is bought anew', () => {
    const damaged = fact({ kind: 'tube checked', pieceId: 'arrester', reason: 'poor SWR', found: 'damaged' });
    const [tube] = listOf([planned([damaged])]).filter(({ kind }) => kind === 'gas tube');
    expect(tube.needed).toBe(1);
    expect(tube.name).toContain(`${'tubeV' in design.pieces[1] ? design.pieces[1].tubeV : 0} V`);
  });

  it('the shelf is taken off, reels by their length without what is damaged', () => {
    const own = withShop(catalog, [
      {
        kind: 'reel',
        data: {
          id: 'r1',
          name: 'Drum 1',
          cable: 'rg213',
          lot: '',
          lengthM: 20,
          isNew: false,
          damaged: [{ fromM: 2, toM: 5 }],
        },
      },
      { kind: 'stock', data: { id: 'n-plug-crimp-10mm', count: 3, matings: 0 } },
    ]);
    const rows = listOf([planned()], own);
    const [metres, plugs] = (['cable', 'connector'] as const).map((kind) =>
      rows.find((row) => row.kind === kind),
    );
    expect(metres).toMatchObject({ onShelf: 17, toBuy: (metres?.needed ?? 0) - 17 });
    expect(plugs).toMatchObject({ needed: 4, onShelf: 3, toBuy: 1 + (plugs?.spare ?? 0) });
    expect(rows.find(({ kind }) => kind === 'arrester')?.onShelf).toBeUndefined();
  });
});

// By the meaning of the words: what was used after the count is gone, whatever it was; what was used before was not counted.
describe('the shelf counts down', () => {
  const counted = (id: string, count: number, over: object = {}) =>
    withShop(catalog, [
      { kind: 'stock', data: { id, count, matings: 0, countedAt: '2026-11-10T08:00:00Z', ...over } },
    ]);
  const use = (day: number, part = 'n-plug-crimp-10mm', amount = 1) => ({
    id: `use-${day}`,
    part,
    amount,
    at: `2026-11-${day}T09:00:00Z`,
  });
  const rowOf = (id: string, own: typeof catalog, log: Partial<ShopLog>) =>
    listOf([planned()], own, false, { ...emptyShopLog, ...log }).find((row) => row.id === id);
  const plugs = (uses: ShopLog['uses'], over: object = {}) =>
    rowOf('n-plug-crimp-10mm', counted('n-plug-crimp-10mm', 5, over), { uses });

  // Trade: tape is bought by the roll; what lacks a fifteenth of one lacks a roll.
  it('what lacks a part of a roll is bought as a whole one', () => {
    const rows = listOf([planned()]).filter(({ unit }) => unit === 'roll');
    expect(rows).not.toEqual([]);
    for (const { id, needed } of rows)
      expect(rowOf(id, counted(id, needed), { uses: [use(12, id, 0.07)] })).toMatchObject({ toBuy: 1 });
  });

  it('with the ends of the log, since it was counted', () => {
    expect(plugs([])?.onShelf).toBe(5);
    expect(plugs([use(12), use(13), use(14, 'other')])?.onShelf).toBe(3);
    expect(plugs([use(10), use(19)])?.onShelf).toBe(3);
    expect(plugs([use(10), { ...use(11), at: '2026-11-10T07:00:00Z' }])?.onShelf).toBe(4);
    expect(plugs(Array.from({ length: 9 }, (_, k) => use(20 + (k % 5))))?.onShelf).toBe(0);
  });

  it('with rolls by the part of them that was torn off, and clips by the dozen', () => {
    const tape = counted('rubber38', 3);
    expect(
      rowOf('rubber38', tape, { uses: [use(12, 'rubber38', 0.25), use(13, 'rubber38', 0.3)] }),
    ).toMatchObject({ onShelf: 2.45 });
    const clips = counted('support-10mm', 40);
    expect(rowOf('support-10mm', clips, { uses: [use(12, 'support-10mm', 12)] })?.onShelf).toBe(28);
  });

  it('what did not leave it after all is put back', () => {
    expect(plugs([use(12), use(13)], { putBack: ['use-12'] })?.onShelf).toBe(4);
    const [stock] = counted('n-plug-crimp-10mm', 5, { putBack: ['use-12'] }).stock.values();
    expect(usesSince(stock, [use(12), use(13)]).map(({ id, isBack }) => [id, isBack])).toEqual([
      ['use-13', false],
      ['use-12', true],
    ]);
  });

  it('ends that failed raise the spares', () => {
    const failed = Array.from({ length: 9 }, () => ({
      part: 'n-plug-crimp-10mm',
      outcome: 'failed' as const,
    }));
    // Ten of twenty-nine fail: by the binomial nine tries give four good ones with just 95 %, were that share known.
    const spare = rowOf('n-plug-crimp-10mm', catalog, { ends: failed })?.spare;
    expect(spare).toBeGreaterThanOrEqual(5);
    expect(spare).toBeLessThanOrEqual(7);
  });
});

describe('the list of tools', () => {
  it('names what all ends need, with the die; what the shop has not stands first', () => {
    const all = toolsList([planned()], { ...defaultPractice, diesMm: [5.4] });
    // RG-213 ferrules are crimped with 10.9 mm across flats (common practice, no source).
    expect(all[0]).toMatchObject({ owned: false, ends: 4 });
    expect(all[0].name).toContain('10.9 mm');
    expect(toolsList([planned()], defaultPractice).every(({ owned }) => owned)).toBe(true);
    const made = ['in.a', 'in.b', 'main.a', 'main.b'].map((endId) => fact({ kind: 'end made', endId }));
    expect(toolsList([planned(made)], defaultPractice)).toEqual([]);
  });
});

describe('the ground', () => {
  // By hand: what is not joined is asked for, what is joined is not; a bolted conductor wants a lug at both ends.
  it('asks for conductors by their size, and for their lugs', () => {
    const own = groundedSite();
    const [first, ...rest] = own.ground.bonds.filter(({ joint }) => joint !== 'mounted');
    const open = {
      ...first,
      joint: 'bolt' as const,
      lengthM: 3,
      section: { areaMm2: 16 },
      parallel: 1,
      made: undefined,
    };
    const { made: _, ...bond } = open;
    const joined = rest.map((one) => ({ ...one, made: { by: 'Wenna', on: '2026-11-04' } }));
    const sheetOfGround = survey(
      { ...own, ground: { ...own.ground, bonds: [bond, ...joined] } },
      [],
      catalog,
    );
    const rows = partsList([], sheetOfGround, catalog, emptyShopLog);
    expect(needed(rows, 'ground conductor')).toEqual([3]);
    expect(needed(rows, 'lug')).toEqual([2]);
    expect(rows.find(({ kind }) => kind === 'lug')?.name).toBe('lug for 16 mm²');
  });
});

describe('a shelf with its lowest stock, prices and suppliers', () => {
  const plug = listOf([planned()]).find(({ kind }) => kind === 'connector');
  if (!plug) throw new Error('no connector is needed');
  const shelf = (more: object) =>
    withShop(catalog, [{ kind: 'stock', data: { id: plug.id, count: 20, matings: 0, ...more } }]);
  const plugOf = (more: object) => listOf([planned()], shelf(more)).find(({ id }) => id === plug.id);

  // Four ends: with 20 on the shelf nothing is missing; 18 are to stay there, so that 2 and the spares are bought.
  it('what is to stay there is filled up', () => {
    expect(plugOf({})?.toBuy).toBe(0);
    expect(plugOf({ lowest: 18 })?.toBuy).toBe(4 + plug.spare + 18 - 20);
  });

  it('a purchase in the order of urgency, of suppliers and of runs, each with what it costs', () => {
    const rows = listOf([planned()], shelf({ lowest: 18, price: 3.5, supplier: 'Harbour stores' }));
    const urgent = inPartsOrder(rows, 'urgency');
    const [waits, fills] = ['the work waits for it', 'spare or lowest stock'].map((one) =>
      urgent.find(({ urgency }) => urgency === one)?.rows.map(({ id }) => id),
    );
    expect([waits?.includes(plug.id), fills?.includes(plug.id)]).toEqual([false, true]);
    const [harbour, nobody] = inPartsOrder(rows, 'supplier');
    expect([harbour.name, harbour.rows.map(({ id }) => id)]).toEqual(['Harbour stores', [plug.id]]);
    expect(harbour.cost).toBeCloseTo((2 + plug.spare) * 3.5, 9);
    expect(nobody.name).toBe('');
    const own = inPartsOrder(rows, 'run').find(({ name }) => name === design.name);
    expect(own?.rows.find(({ id }) => id === plug.id)?.needed).toBe(4);
    for (const order of partsOrders)
      expect(inPartsOrder(rows, order).flatMap((one) => one.rows).length).toBeGreaterThan(0);
  });
});
