import { expect, it } from 'vitest';
import { groundSnags } from '../aGround.fixture.js';
import { surveyOf, aSite } from '../aSite.fixture.js';

it('a site whose cables go outdoors and whose ground nobody drew says so, once', () => {
  const empty = { nodes: [], bonds: [] };
  expect(groundSnags(empty).map(({ rule, level }) => [rule, level])).toEqual([['ground-unknown', 'caution']]);
  expect(groundSnags({}, 'ground-unknown')).toEqual([]);
  const indoors = surveyOf({ ...aSite(), ways: aSite().ways.slice(0, 1) });
  expect(indoors.snags.filter(({ part }) => part === 'ground')).toEqual([]);
});
