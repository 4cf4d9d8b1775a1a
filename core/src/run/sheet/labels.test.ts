import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { aRun } from '../aRun.fixture.js';
import { assembliesOf } from '../design/lookups.js';
import { labelSheet, labelsOf } from './labels.js';

const [main] = assembliesOf(aRun());

describe('labels', () => {
  it('one is named as the piece, several are counted', () => {
    expect(labelsOf(main, 1, catalog, 146e6).map(({ name }) => name)).toEqual(['Main cable']);
    expect(labelsOf(main, 3, catalog, 146e6).map(({ name }) => name)).toEqual([
      'Main cable 1',
      'Main cable 2',
      'Main cable 3',
    ]);
  });

  // 12.5 m of cable with velocity factor 0.66 at 146 MHz: 360·12.5·146e6/(0.66·c) degrees.
  it('says cable, length and electrical length', () => {
    const [{ lines }] = labelsOf(main, 1, catalog, 146e6);
    expect(lines[0]).toMatch(/^RG-213\/U, 12\.500 m$/);
    const degrees = (360 * 12.5 * 146e6) / (0.66 * 299_792_458);
    expect(lines[1]).toBe(`${degrees.toFixed(0)}° at 146 MHz`);
  });

  it('two flags to a piece, all on paper and none over another', () => {
    const pages = labelSheet(labelsOf(main, 25, catalog, 146e6));
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
});
