import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { judgeEcho, predictSweep } from '../run/index.js';
import { anOutdoorRun, aRun } from '../run/aRun.fixture.js';
import { canRehearse, rehearsalCauses, rehearsalSight, rehearsalTruth } from './index.js';

const hands = { far: 'load', rained: false, wiggled: false } as const;
const design = aRun();
/** The first seed which hides this. */
const hiding = (cause: string): number =>
  Array.from({ length: 400 }, (_, k) => k + 1).find(
    (seed) => rehearsalTruth(design, catalog, seed).cause.id === cause,
  ) ?? NaN;

describe('a rehearsal on the run in hand', () => {
  it('hides every cause which may be answered, and each can be answered', () => {
    const seen = new Set(
      Array.from({ length: 400 }, (_, k) => rehearsalTruth(design, catalog, k + 1).cause.id),
    );
    expect(seen).toEqual(new Set(rehearsalCauses.map(({ id }) => id)));
  });

  // Ohm’s law: a whisker joins pin and shell, a pin that is off leaves the far short unseen.
  it('the meter tells a whisker from an open pin', () => {
    const ohm = (cause: string, far: 'open' | 'short'): number =>
      rehearsalSight({ ...hands, far, design, catalog, seed: hiding(cause) }).ohm;
    expect(ohm('whisker', 'open')).toBeLessThan(3);
    expect(ohm('nothing', 'open')).toBeGreaterThan(100e6);
    expect(ohm('open pin', 'short')).toBeGreaterThan(100e3);
    expect(ohm('nothing', 'short')).toBeLessThan(0.5);
  });

  it.each(['crush', 'open pin', 'whisker'])('the echo of a %s stands where it is', (cause) => {
    const seed = hiding(cause);
    const { frequencyHz, s11 } = rehearsalSight({ ...hands, design, catalog, seed });
    const judged = judgeEcho(predictSweep(design, catalog, '', 'load', frequencyHz), { s11, frequencyHz });
    if (!judged.ok) throw new Error(judged.problem.message);
    const worst = judged.value.peaks.find(({ unexpected }) => unexpected);
    const { atM = NaN } = rehearsalTruth(design, catalog, seed);
    expect(Math.abs((worst?.distanceM ?? NaN) - atM)).toBeLessThan(0.6);
  });

  it('sweeps close enough that no echo of a long run folds back', () => {
    const long = anOutdoorRun({ pieces: [{ ...aRun().pieces[0], lengthM: 180 } as never] });
    const { frequencyHz } = rehearsalSight({ ...hands, design: long, catalog, seed: 0 });
    // Echoes of a sweep of step df repeat after 1/df; there and back through 180 m at 0.66 c takes 1.82 µs.
    expect(1 / (frequencyHz[1] - frequencyHz[0])).toBeGreaterThan(1.82e-6 * 1.3);
  });

  it('a run without a cable has nothing to spoil', () => {
    expect(canRehearse(aRun({ pieces: [] }))).toBe(false);
    expect(canRehearse(design)).toBe(true);
  });
});
