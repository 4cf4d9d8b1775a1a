import { describe, expect, it } from 'vitest';
import type { FactBody } from '../facts/kinds.js';
import { anOutdoorRun, fact, snagsOf } from '../aRun.fixture.js';

// Water creeps under the jacket by the braid and corrodes copper: handbook of the trade, 6.
describe('waterFound', () => {
  const day = (k: number): string => `2026-11-0${k}T09:00:00Z`;
  const opened = (found: 'dry and clean' | 'water' | 'corroded') =>
    fact({ kind: 'opened', jointId: 'main>antenna', found }, day(4));
  const of = (...later: [FactBody, number][]) =>
    snagsOf(anOutdoorRun(), 'water-found', [
      opened('water'),
      ...later.map(([body, k]) => fact(body, day(k))),
    ]);

  it('tells of a wet joint whose end is as it was, sealed again or not', () => {
    expect(of()).toMatchObject([{ level: 'caution', at: 'main>antenna' }]);
    expect(of()[0].why).toContain('Main cable');
    expect(of([{ kind: 'sealed', jointId: 'main>antenna' }, 5])).toHaveLength(1);
    expect(of([{ kind: 'end made', endId: 'main.b' }, 3])).toHaveLength(1);
  });

  it('is silent once the end was made again, and where it was dry', () => {
    expect(of([{ kind: 'end made', endId: 'main.b' }, 5])).toEqual([]);
    expect(snagsOf(anOutdoorRun(), 'water-found', [opened('dry and clean')])).toEqual([]);
    expect(of([{ kind: 'opened', jointId: 'main>antenna', found: 'dry and clean' }, 6])).toEqual([]);
  });
});
