import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { matchedLossDb } from '../../line/index.js';
import { aRun } from '../aRun.fixture.js';
import { applyChange } from '../design/change.js';
import { assembliesOf, assemblyOf } from '../design/lookups.js';
import { betterCables, inCable, partFor } from './betterCables.js';

const design = aRun();
const [main] = assembliesOf(design);

describe('other cables for a piece', () => {
  it('keep impedance and faces, thinnest first, and satisfy', () => {
    const least = matchedLossDb(entry(catalog.cables, main.cable), 146e6, main.lengthM);
    const offered = betterCables(
      main,
      catalog,
      146e6,
      (cable) => matchedLossDb(cable, 146e6, main.lengthM) < least,
    );
    expect(offered.length).toBeGreaterThan(0);
    const taken = offered.map(({ changes }) => assemblyOf(changes.reduce(applyChange, design), main.id));
    const cables = taken.map(({ cable }) => entry(catalog.cables, cable));
    expect(cables.map(({ jacketMm }) => jacketMm)).toEqual(
      cables.map(({ jacketMm }) => jacketMm).toSorted((x, y) => x - y),
    );
    for (const [k, cable] of cables.entries()) {
      expect(cable.impedanceOhm).toBe(50);
      expect(matchedLossDb(cable, 146e6, main.lengthM)).toBeLessThan(least);
      for (const side of ['a', 'b'] as const)
        expect(entry(catalog.parts, taken[k][side].part).face).toBe(
          entry(catalog.parts, main[side].part).face,
        );
    }
  });

  it('none when none satisfies, and never more than asked for', () => {
    expect(betterCables(main, catalog, 146e6, () => false)).toEqual([]);
    expect(betterCables(main, catalog, 146e6, () => true, 2)).toHaveLength(2);
  });

  it('a part which still fits is kept; where none fits there is no such piece', () => {
    expect(partFor('n-plug', entry(catalog.cables, 'rg213'), catalog, 'n-plug-gland-10mm')).toBe(
      'n-plug-gland-10mm',
    );
    expect(inCable(main, entry(catalog.cables, 'rg213'), catalog)?.a.part).toBe(main.a.part);
    expect(partFor('rca-plug', entry(catalog.cables, 'c400'), catalog)).toBeUndefined();
  });
});

// Switching a cable keeps the style of its ends; nobody gets a right angle unasked. Common practice, no source.
it('another cable keeps the style of its ends', () => {
  const rg58 = entry(catalog.cables, 'rg58');
  expect(partFor('n-plug', rg58, catalog, 'n-plug-gland-10mm')).toBe('n-plug-gland-5mm');
  expect(partFor('n-plug', rg58, catalog)).toBe('n-plug-crimp-5mm');
  for (const { style } of [...catalog.cables.values()].flatMap((cable) => {
    const id = partFor('bnc-plug', cable, catalog);
    return id ? [entry(catalog.parts, id)] : [];
  }))
    expect(style).not.toBe('right angle');
});
