import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { aSite, routed, surveyOf } from '../../../core/src/site/aSite.fixture.js';
import { aRun, fact, sheetOf } from '../../../core/src/run/aRun.fixture.js';
import { cableScheduleCsv, cutListCsv, materialsUsedCsv, partsListCsv, supportListCsv } from './siteCsv.js';

const read = (text: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(text, { header: true }).data;

describe('lists of a site', () => {
  it('the schedule has each cable in each of its ways, and what to order', () => {
    const rows = read(cableScheduleCsv(surveyOf(aSite(), 2), 'metric'));
    expect(rows).toHaveLength(8);
    expect(rows.find(({ run, way }) => run === 'Run 1' && way === 'the duct')).toMatchObject({
      piece: 'Main cable',
      from: '2.90 m',
      to: '12.90 m',
      // 24.9 m with 2 re-makes of 60 mm is 25.02 m; 1 m more, in whole metres.
      'route in all': '25.02 m',
      'to order': '27.00 m',
    });
  });

  // Handbook of the trade, from memory: 1 m for 10 mm cable, 0.6 m in ice: 12 m of mast take 12, or 20.
  it('the support list counts what carries the cables', () => {
    const count = (site = aSite()): string =>
      read(supportListCsv(surveyOf(site), 'metric')).find(({ way }) => way === 'the mast')?.supports ?? '';
    expect(count()).toBe('12');
    expect(count(aSite({ mast: { conditions: ['outside', 'ice'] } }))).toBe('20');
  });

  it('a name which a spreadsheet would take for a formula is text', () => {
    const sheet = surveyOf(aSite({ mast: { name: '=1+1' } }), 1, routed());
    for (const text of [cableScheduleCsv(sheet, 'metric'), supportListCsv(sheet, 'metric')])
      expect(text).toContain("'=1+1");
  });

  it('what was used is a line each, a part by its name, and no formula of who wrote it', () => {
    const use = { part: 'rubber38', amount: 0.07, at: '2026-11-27T09:00:00.000Z', by: '=Joss', of: 'HF run' };
    const [line] = read(materialsUsedCsv([use], (part) => `name of ${part}`));
    expect(line).toEqual({
      when: use.at,
      who: "'=Joss",
      for: 'HF run',
      part: 'name of rubber38',
      amount: '0.07',
    });
  });

  it('the cut list says where each cable is measured, and which are cut', () => {
    const { cuts } = sheetOf(aRun(), [fact({ kind: 'cut', pieceId: 'main' })]);
    const [line] = read(cutListCsv([{ name: 'HF run', cuts }], 'metric'));
    expect(line).toMatchObject({ run: 'HF run', cable: 'RG-213/U', pieces: '1', done: 'yes' });
    // What is cut is what is finished, less what the two plugs add beyond their jackets: centimetres, not metres.
    expect(parseFloat(line.finished) - parseFloat(line.cut)).toBeLessThan(0.1);
    expect(Math.abs(parseFloat(line.finished) - parseFloat(line.cut))).toBeGreaterThan(0);
    expect(line.measured).not.toBe('');
  });

  it('the list of parts says lengths in the shop’s units, and whose they are', () => {
    const use = { runId: 'r', amount: 10, whose: '=HF run' };
    const cable = {
      kind: 'cable' as const,
      id: 'rg213',
      name: 'RG-213/U',
      unit: 'm' as const,
      needed: 10,
      spare: 0,
      onShelf: undefined,
      lowest: 0,
      toBuy: 10,
      uses: [use, use],
    };
    const plugs = {
      ...cable,
      kind: 'connector' as const,
      unit: 'piece' as const,
      needed: 4,
      spare: 1,
      onShelf: 3,
    };
    const [first, second] = read(partsListCsv([cable, { ...plugs, lowest: 0, toBuy: 2 }], 'metric'));
    expect(first).toMatchObject({
      needed: '10.00 m',
      'on the shelf': '',
      'to buy': '10.00 m',
      for: "'=HF run",
    });
    expect(second).toMatchObject({ needed: '4', spare: '1', 'on the shelf': '3', 'to buy': '2' });
  });
});
