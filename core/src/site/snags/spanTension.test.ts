import { expect, it } from 'vitest';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// w·L²/(8·sag): RG-213/U (1.51 N/m, 450 N) over 30 m with 0.9 m of sag pulls 189 N; 10 mm of ice make it about 900 N.
it('ice breaks what hangs well without it', () => {
  const span = (iceMm?: number) =>
    aSite({ duct: { kind: 'aerial', lengthM: 30, sagM: 0.9, ...(iceMm === undefined ? {} : { iceMm }) } });
  expect(siteSnagsOf(span(), 'span')).toEqual([]);
  const [snag] = siteSnagsOf(span(10), 'span');
  expect(snag.why).toContain('10 mm of ice');
  expect(snag.why).toContain('messenger');
});
