import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import { aRun, cable, fact } from '../aRun.fixture.js';
import { predictSweep, type LineFault } from '../index.js';
import { driftByPlace, lastVisit, sweepsToCompare } from './index.js';

describe('the last visit', () => {
  const note = (text: string, at: string) => fact({ kind: 'note', about: '', text }, at);
  const facts = [
    note('first', '2026-11-02T09:00:00Z'),
    note('later', '2026-11-20T14:00:00Z'),
    note('earlier that day', '2026-11-20T08:00:00Z'),
    note('today', '2026-11-27T07:00:00Z'),
  ];

  it('is the last day before this one, with all that was done on it in order', () => {
    const last = lastVisit(facts, '2026-11-27T12:00:00Z');
    expect(last?.done.map((one) => one.kind === 'note' && one.text)).toEqual(['earlier that day', 'later']);
    expect(last?.by).toEqual(['Wenna']);
    expect(lastVisit(facts.slice(3), '2026-11-27T12:00:00Z')).toBeUndefined();
  });
});

describe('drift by place', () => {
  const design = aRun({ pieces: [cable({ lengthM: 20 })] });
  const frequencyHz = Float64Array.from({ length: 801 }, (_, k) => 10e6 + k * 1e6);
  const of = (lengthM: number, faults: LineFault[] = []) =>
    predictSweep({ ...design, pieces: [cable({ lengthM })] }, catalog, '', 'open', frequencyHz, faults);
  const sound = of(20);
  const sweep = (at: string, { s11 }: typeof sound) => ({ at, frequencyHz, s11 });
  const drift = (now: typeof sound, at = '2027-11-03T09:00:00Z') => {
    const found = driftByPlace(sound, sweep('2026-11-03T09:00:00Z', sound), sweep(at, now), 150e6);
    if (!found.ok) throw new Error(found.problem.message);
    return found.value;
  };

  it('of a run which is as it was is none', () => {
    for (const { addedDb, laterDegrees } of drift(sound)) {
      expect(addedDb).toBeCloseTo(0, 9);
      if (laterDegrees !== undefined) expect(laterDegrees).toBeCloseTo(0, 9);
    }
  });

  // 20 mm longer: 360 · f · Δl / (VF · c) = 1.09 degrees later at 150 MHz for solid polyethylene (VF 0.66).
  it('of a cable which has grown by 20 mm is the phase of 20 mm, at its end, in a year', () => {
    const { velocityFactor } = entry(catalog.cables, 'rg213');
    const degrees = (360 * 150e6 * 0.02) / (velocityFactor * SPEED_OF_LIGHT);
    const end = drift(of(20.02)).find(({ atM }) => atM === sound.totalM);
    expect(end?.laterDegrees).toBeCloseTo(degrees, 1);
    expect(end?.laterDegreesPerYear).toBeCloseTo(degrees, 1);
  });

  it('a kink between joints comes first, under where it is; of two weeks nothing is said of a year', () => {
    const kinked = of(20, [{ kind: 'crush', atM: 8, lengthM: 0.05, ohm: 25 }]);
    const [worst] = drift(kinked, '2026-11-17T09:00:00Z');
    expect(Math.abs(worst.atM - 8)).toBeLessThan(0.3);
    expect(worst.addedDb).toBeGreaterThan(10);
    expect([worst.addedDbPerYear, worst.laterDegreesPerYear]).toEqual([undefined, undefined]);
  });

  it('an older sweep is no later one, and a sweep of three points has no echo: both are said', () => {
    const early = driftByPlace(
      sound,
      sweep('2026-11-03T09:00:00Z', sound),
      sweep('2026-11-01T09:00:00Z', sound),
      150e6,
    );
    expect(!early.ok && early.problem.code).toBe('drift.order');
    const few = {
      at: '2027-11-03T09:00:00Z',
      frequencyHz: frequencyHz.slice(0, 3),
      s11: { re: sound.s11.re.slice(0, 3), im: sound.s11.im.slice(0, 3) },
    };
    const none = driftByPlace(sound, sweep('2026-11-03T09:00:00Z', sound), few, 150e6);
    expect(!none.ok && none.problem.code).toBe('echo.too-few');
  });
});

describe('which sweeps are compared', () => {
  const sweep = (id: string, at: string, over: { birth?: boolean; pieceId?: string; far?: string } = {}) => ({
    id,
    at,
    birth: false,
    pieceId: '',
    far: 'load',
    ...over,
  });
  const birth = sweep('birth', '2026-01-01', { birth: true });

  it('the newest of the same thing with the same far end, against the birth record', () => {
    const all = [
      sweep('new', '2026-11-01'),
      sweep('other far end', '2026-11-20', { far: 'open' }),
      sweep('other thing', '2026-11-21', { pieceId: 'main' }),
      birth,
      sweep('old', '2026-02-01'),
    ];
    expect(sweepsToCompare(all)).toEqual({ birth, last: all[0] });
  });

  it('the whole run before one of its cables; nothing without a birth record, or before it', () => {
    const cable = sweep('cable', '2025-01-01', { birth: true, pieceId: 'main' });
    expect(sweepsToCompare([cable, birth]).birth).toBe(birth);
    expect(sweepsToCompare([cable]).birth).toBe(cable);
    expect(sweepsToCompare([birth, sweep('before', '2025-12-01')]).last).toBeUndefined();
    expect(sweepsToCompare([sweep('only', '2026-01-01')])).toEqual({ birth: undefined, last: undefined });
  });
});
