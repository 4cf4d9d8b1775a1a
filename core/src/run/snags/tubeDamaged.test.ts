import { describe, expect, it } from 'vitest';
import { anOutdoorRun, arrester, cable, fact, sheetOf } from '../aRun.fixture.js';
import { tubeHistory } from '../facts/tubeHistory.js';
import type { Facts } from '../facts/kinds.js';

const checked = (day: number, over: { found?: 'sound' | 'damaged'; newV?: number; strike?: boolean } = {}) =>
  fact(
    {
      kind: 'tube checked',
      pieceId: 'arrester',
      reason: over.strike ? 'after a strike near by' : 'by plan',
      found: over.found ?? 'sound',
      ...(over.newV === undefined ? {} : { newV: over.newV }),
    },
    `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`,
  );
const run = anOutdoorRun({ pieces: [cable({ id: 'jumper', lengthM: 2 }), arrester(), cable()] });
const stops = (facts: Facts): string[] =>
  sheetOf(run, facts)
    .snags.filter(({ rule }) => rule === 'tube-damaged')
    .map(({ level, at }) => `${level} ${at}`);

// Handbook of the trade, 7: a tube that has taken too much melts to a short; it is replaced, with its gasket.
describe('a gas tube', () => {
  it('found damaged stops the run until a new one is fitted', () => {
    expect(stops([])).toEqual([]);
    expect(stops([checked(1)])).toEqual([]);
    expect(stops([checked(1), checked(2, { found: 'damaged' })])).toEqual(['stop arrester']);
    expect(stops([checked(1, { found: 'damaged', newV: 230 })])).toEqual([]);
    expect(stops([checked(2, { newV: 230 }), checked(1, { found: 'damaged' })])).toEqual([]);
  });

  it('counts its strikes; a new one has none', () => {
    const struck = [checked(1, { strike: true }), checked(3, { strike: true })];
    expect(tubeHistory(struck, 'arrester').strikes).toBe(2);
    expect(tubeHistory([...struck, checked(4, { newV: 230 })], 'arrester').strikes).toBe(0);
    expect(tubeHistory([...struck, checked(2, { newV: 230 })], 'arrester').strikes).toBe(1);
    expect(tubeHistory(struck, 'other')).toEqual({ last: undefined, strikes: 0, damaged: false });
  });
});
