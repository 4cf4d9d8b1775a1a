import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { aRun } from '../aRun.fixture.js';
import { assembliesOf } from '../design/lookups.js';
import { labelSheet, labelSizes, labelsOf, placeLabel } from './labels.js';

const [main] = assembliesOf(aRun());
const of = { name: 'VHF voice', code: '00a001', topHz: 146e6, madeOn: () => undefined };

describe('labels', () => {
  it('one is named as the piece, several are counted, each end by itself', () => {
    expect(labelsOf(main, 1, catalog, of).map(({ name, lines }) => [name, lines[2]])).toEqual([
      ['VHF voice: Main cable', 'made ____________'],
      ['VHF voice: Main cable', 'made ____________'],
    ]);
    const three = labelsOf(main, 3, catalog, of);
    expect(three.map(({ name }) => name)).toContain('VHF voice: Main cable 3');
    // Each end has a code of its own.
    expect(new Set(three.map(({ code }) => code)).size).toBe(6);
    expect(three[1].code).toBe('00a001-main-1-b');
  });

  // Human text first: run, end, length, date. Handbook of the trade, 10.
  it('says run, cable and length, and the day where the end is made', () => {
    const made = (end: string) => (end === 'main.a' ? '2026-11-02' : undefined);
    const [radio, antenna] = labelsOf(main, 1, catalog, { ...of, madeOn: made });
    expect(radio.lines).toEqual(['RG-213/U, 12.500 m', 'radio end', 'made 2026-11-02']);
    expect(antenna.lines.slice(0, 2)).toEqual(['RG-213/U, 12.500 m', 'antenna end']);
    // However long the run’s name is, the big line still says which of its cables.
    const [{ name }] = labelsOf(main, 12, catalog, {
      ...of,
      name: 'A run whose name goes on and on and on',
    }).slice(-1);
    expect(name).toMatch(/^A run.*…: Main cable 12$/);
  });

  // 12.5 m of cable with velocity factor 0.66 at 146 MHz: 360·12.5·146e6/(0.66·c) degrees.
  it('says electrical length of a cable which is cut to it', () => {
    const target = { frequencyHz: 146e6, degrees: 90 };
    const [{ lines }] = labelsOf({ ...main, target }, 1, catalog, of);
    const degrees = (360 * 12.5 * 146e6) / (0.66 * 299_792_458);
    expect(lines[1]).toBe(`radio end, ${degrees.toFixed(0)}° at 146 MHz`);
  });

  it.each((['flag', 'wrap'] as const).flatMap((form) => labelSizes.map((size) => [form, size] as const)))(
    'two %ss to a piece, %s, all on paper and none over another',
    (form, size) => {
      const pages = labelSheet(labelsOf(main, 25, catalog, of), form, size);
      // Six points are the least that is read at arm’s length (common practice, no source).
      const letters = pages.flatMap(({ shapes }) =>
        shapes.flatMap((one) => (one.kind === 'text' ? [one] : [])),
      );
      expect(Math.min(...letters.map(({ sizePt = 0 }) => sizePt))).toBeGreaterThanOrEqual(6);
      const flags = pages.flatMap(({ shapes }) => shapes.filter(({ kind }) => kind === 'box'));
      expect(flags).toHaveLength(50);
      for (const { shapes, widthMm, heightMm } of pages) {
        const boxes = shapes.flatMap((shape) => (shape.kind === 'box' ? [shape] : []));
        for (const [k, one] of boxes.entries()) {
          expect(one.x + one.width).toBeLessThanOrEqual(widthMm);
          expect(one.y + one.height).toBeLessThanOrEqual(heightMm);
          for (const other of boxes.slice(k + 1))
            expect(
              other.x >= one.x + one.width ||
                one.x >= other.x + other.width ||
                other.y >= one.y + one.height ||
                one.y >= other.y + other.height,
            ).toBe(true);
        }
      }
    },
  );

  it('from a roll one a page, its code square and beside the words', () => {
    const cells = [
      [true, true, false],
      [false, true, false],
      [true, false, true],
    ];
    const [label] = labelsOf(main, 1, catalog, of);
    const pages = labelSheet([{ ...label, cells }, label], 'roll');
    expect(pages).toHaveLength(2);
    const [{ shapes, widthMm }] = pages;
    const dark = shapes.flatMap((shape) => (shape.kind === 'box' && shape.what === 'code' ? [shape] : []));
    // Neighbours in a row are one box: their cells are as many as are dark.
    const side = dark[0].height;
    expect(dark.reduce((sum, { width }) => sum + Math.round(width / side), 0)).toBe(5);
    expect(Math.max(...dark.map(({ x, width }) => x + width))).toBeLessThanOrEqual(widthMm - 1.4);
    const words = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.x + shape.width] : []));
    expect(Math.max(...words)).toBeLessThanOrEqual(Math.min(...dark.map(({ x }) => x)));
  });

  it('of a box says the place, the run and how far it is, and a code which can be typed', () => {
    expect(placeLabel({ what: 'Entry box (north)', atM: 2.6 }, 'VHF voice', '00a001')).toEqual({
      name: 'VHF voi…: Entry box (north)',
      lines: ['2.60 m from the radio'],
      code: '00a001-entry-box-north-',
    });
  });
});
