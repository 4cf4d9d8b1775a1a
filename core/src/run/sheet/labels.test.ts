import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { aRun } from '../aRun.fixture.js';
import { assembliesOf } from '../design/lookups.js';
import { labelSheet, labelsOf } from './labels.js';

const [main] = assembliesOf(aRun());
const of = { topHz: 146e6, runCode: '00a001' };

describe('labels', () => {
  it('one is named as the piece, several are counted', () => {
    expect(labelsOf(main, 1, catalog, of).map(({ name }) => name)).toEqual(['Main cable', 'Main cable']);
    const three = labelsOf(main, 3, catalog, of);
    expect([...new Set(three.map(({ name }) => name))]).toEqual([
      'Main cable 1',
      'Main cable 2',
      'Main cable 3',
    ]);
    // Each end has a code of its own.
    expect(new Set(three.map(({ code }) => code)).size).toBe(6);
    expect(three[1].code).toBe('00a001-main-1-b');
  });

  // 12.5 m of cable with velocity factor 0.66 at 146 MHz: 360·12.5·146e6/(0.66·c) degrees.
  it('says cable, length and electrical length', () => {
    const [{ lines }] = labelsOf(main, 1, catalog, of);
    expect(lines[0]).toMatch(/^RG-213\/U, 12\.500 m$/);
    const degrees = (360 * 12.5 * 146e6) / (0.66 * 299_792_458);
    expect(lines[1]).toBe(`${degrees.toFixed(0)}° at 146 MHz, radio end`);
  });

  it.each(['flag', 'wrap'] as const)('two %ss to a piece, all on paper and none over another', (form) => {
    const pages = labelSheet(labelsOf(main, 25, catalog, of), form);
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
  });

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
});
