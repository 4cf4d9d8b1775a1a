import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { defaultPractice } from '../../practice/index.js';
import { evaluate } from '../evaluate.js';
import { aRun, cable, mends, snagsOf } from '../aRun.fixture.js';

// Common practice, no source.
describe('handheldPort', () => {
  it('cautions about depth, with the lever in mm', () => {
    const handheld = aRun({
      radio: { name: 'Handheld', face: 'sma-jack', handheld: true },
      pieces: [{ kind: 'adapter', id: 'adapter', adapter: 'sma-plug-to-n-jack', reversed: false }, cable()],
    });
    const [snag] = snagsOf(handheld, 'handheld');
    expect(snag.why).toMatch(/\d+ mm of rigid adapter/);
    expect(mends(handheld, 'handheld', 0)).toBe(true);
  });

  it.each([
    [2.1, 'is as deep as the handheld’s own antenna'],
    [3.4, 'may not reach the contact'],
    [0.6, 'touches bottom before its thread is home'],
  ])('measured against the antenna that came with the set (2 mm), an adapter of %d mm %s', (mm, says) => {
    const id = 'sma-plug-to-n-jack';
    const measured = { ...entry(catalog.adapters, id), insulatorDepthMm: mm };
    const own = { ...catalog, adapters: new Map([...catalog.adapters, [id, measured]]) };
    const design = aRun({
      radio: { name: 'Handheld', face: 'sma-jack', handheld: true, insulatorDepthMm: 2 },
      pieces: [{ kind: 'adapter', id: 'adapter', adapter: id, reversed: false }, cable()],
    });
    const [snag] = evaluate(design, own, { facts: [], practice: defaultPractice }).snags.filter(
      ({ rule }) => rule === 'handheld',
    );
    expect(snag.what).toContain(says);
  });
});
