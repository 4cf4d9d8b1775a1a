import { expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { endId } from '../../run/index.js';
import { fact, sheetOf } from '../../run/aRun.fixture.js';
import { onSite, survey } from '../index.js';
import { aSite, routed, siteSnagsOf } from '../aSite.fixture.js';

const narrow = aSite({ duct: { duct: { boreMm: 20, lubricated: true, drained: true, cord: true } } });

// An N plug’s nut is about 20 mm across (IEC 61169-16, from memory): it goes through 50 mm, not through 20.
it('an end whose connector does not go through is made after the pull', () => {
  expect(siteSnagsOf(aSite(), 'connector-passes')).toEqual([]);
  expect(siteSnagsOf(narrow, 'connector-passes')[0]).toMatchObject({ level: 'caution', at: 'duct' });
});

it('one that is made already is a stop', () => {
  const design = onSite(routed(), narrow);
  const made = fact({ kind: 'end made', endId: endId('main', 'a') });
  const sheet = sheetOf(design, [made]);
  const { snags } = survey(narrow, [{ id: 'run', design, sheet, installed: false }], catalog);
  expect(snags.find(({ rule }) => rule === 'connector-passes')?.level).toBe('stop');
});

it('nothing is said of a cable which lies in it already', () => {
  const design = onSite(routed(), narrow);
  const { snags } = survey(narrow, [{ id: 'run', design, sheet: sheetOf(design), installed: true }], catalog);
  expect(snags.filter(({ rule }) => rule === 'connector-passes')).toEqual([]);
});
