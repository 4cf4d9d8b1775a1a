import { describe, expect, it } from 'vitest';
import { anOutdoorRun, fact, snagsOf } from '../aRun.fixture.js';

// Tapes have a lowest temperature of use (handbook of the trade, 6); 0 °C for butyl and vinyl is typical, from memory.
describe('sealedCold', () => {
  const at = (celsius: number) => [fact({ kind: 'sealed', jointId: 'main>antenna', celsius })];
  it('tells of tape put on in the frost', () =>
    expect(snagsOf(anOutdoorRun(), 'sealed-cold', at(-4))).toMatchObject([
      { level: 'caution', at: 'main>antenna' },
    ]));
  it('is silent above its limit, and of what nobody measured', () => {
    expect(snagsOf(anOutdoorRun(), 'sealed-cold', at(3))).toEqual([]);
    expect(
      snagsOf(anOutdoorRun(), 'sealed-cold', [fact({ kind: 'sealed', jointId: 'main>antenna' })]),
    ).toEqual([]);
  });
  it('done again in the warm it is well', () => {
    const again = fact({ kind: 'sealed', jointId: 'main>antenna', celsius: 12 }, '2026-11-20T09:00:00Z');
    expect(snagsOf(anOutdoorRun(), 'sealed-cold', [...at(-4), again])).toEqual([]);
  });
});
