import { expect, it } from 'vitest';
import { aSite, siteSnagsOf } from '../aSite.fixture.js';

// By hand: 30 m/s push 6.95 N/m across 1.51 N/m of weight: 7.1 N/m along both, 889 N over 30 m with 0.9 m of sag.
it('wind breaks it too', () => {
  const windy = aSite({ duct: { kind: 'aerial', lengthM: 30, sagM: 0.9, windMps: 30 } });
  const [snag] = siteSnagsOf(windy, 'span');
  expect(snag.why).toContain('a wind of 30 m/s');
  expect(Number(/^(\d+) N/.exec(snag.why)?.[1])).toBeCloseTo(895, -1);
});

// w·L²/(8·sag): RG-213/U (1.51 N/m, 450 N of pull) over 20 m with 0.9 m of sag pulls 84 N; 10 mm of ice make it about 400 N.
it('ice breaks what hangs well without it', () => {
  const span = (iceMm?: number) =>
    aSite({ duct: { kind: 'aerial', lengthM: 20, sagM: 0.9, ...(iceMm === undefined ? {} : { iceMm }) } });
  expect(siteSnagsOf(span(), 'span')).toEqual([]);
  const [snag] = siteSnagsOf(span(10), 'span');
  expect(snag.why).toContain('10 mm of ice');
  expect(snag.why).toContain('messenger');
});

// Common practice, no source: for good it bears a quarter to a third of the pull of an hour, 113 to 150 N here.
it('what may be pulled for an hour is too much for years', () => {
  const span = (sagM: number) => siteSnagsOf(aSite({ duct: { kind: 'aerial', lengthM: 30, sagM } }), 'span');
  // 189 N, 135 N and 100 N.
  expect([0.9, 1.27, 1.75].map((sagM) => span(sagM).map(({ level }) => level))).toEqual([
    ['caution'],
    ['note'],
    [],
  ]);
});
