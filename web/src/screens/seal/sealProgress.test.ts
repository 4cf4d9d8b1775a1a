import {
  defaultPractice,
  sealMethod,
  sealSteps,
  sealSystem,
  type SealStep,
  type WrapSheet,
} from '@kobran/core';
import { describe, expect, it } from 'vitest';
import {
  backOne,
  freshSeal,
  press,
  readSealProgress,
  sealedFact,
  stepAt,
  type SealProgress,
} from './sealProgress.js';

const system = sealSystem('rubber and vinyl');
const profile = [{ name: 'nut', lengthM: 0.05, diameterM: 0.02 }];
const plan = system.plan(
  { joint: profile, jackets: { lowerM: 0.01, upperM: 0.01 }, exposure: 'outdoor' },
  {
    stretch: 'hard',
    lap: 'half',
    advance: 'along the axis',
    passes: undefined,
    courtesy: false,
    tapes: sealMethod(defaultPractice).tapes,
    sleeves: [],
  },
);
if (!plan) throw new Error('tape fits everything');
const wrap = plan;
const steps: SealStep[] = sealSteps({
  plan: wrap,
  system,
  profile,
  torqueNm: 0.9,
  salt: false,
  staysOpen: false,
  aloft: false,
  loop: undefined,
  units: 'metric',
});
const joint = { unproved: [] as string[], wrap, closure: undefined };

/** Presses the key until it does not move any more, answering well. */
function worked(
  progress: SealProgress,
  unproved: string[] = [],
): { ended: string; progress: SealProgress; pressed: number } {
  let now = progress;
  for (let pressed = 1; ; pressed++) {
    const done = press(steps, now, { ...joint, unproved });
    if (done.kind !== 'moved') return { ended: done.kind, progress: now, pressed };
    now = done.progress;
  }
}

describe('the card of a seal', () => {
  it('asks for the torque and the air, and goes to its end with one key', () => {
    const first = worked(freshSeal(steps));
    expect(first).toMatchObject({ ended: 'blocked', progress: { step: 'torque' } });
    const second = worked({ ...first.progress, torqueNm: 0.9 });
    expect(second).toMatchObject({ ended: 'blocked', progress: { step: 'temperature' } });
    expect(worked({ ...second.progress, celsius: 8 }).ended).toBe('done');
  });

  it('without a spanner it goes on, and says so by logging no torque', () => {
    const { progress } = worked({ ...freshSeal(steps), noSpanner: true, celsius: 8 });
    const fact = sealedFact(
      { jointId: 'a>b', jointIds: ['a>b'], system: 'rubber and vinyl', wrap } as WrapSheet,
      progress,
      false,
    );
    expect(fact).toMatchObject({
      kind: 'sealed',
      noSpanner: true,
      noPhoto: true,
      jointId: 'a>b',
      system: 'rubber and vinyl',
      passes: 2,
      celsius: 8,
    });
    expect(fact).not.toHaveProperty('torqueNm');
    // 200 to 300 mm a pass (handbook of the trade, 6), of a roll of 9.1 m, and what is torn off and dropped.
    const [rubber] = 'used' in fact && fact.used ? fact.used : [];
    expect(rubber.part).toBe('rubber38');
    expect(rubber.amount).toBeGreaterThan((2 * 0.15) / 9.1);
    expect(rubber.amount).toBeLessThan((2 * 0.4) / 9.1);
  });

  // Butyl and vinyl from 0 °C: typical, from memory.
  it('frost stops it', () => {
    const { ended, progress } = worked({ ...freshSeal(steps), torqueNm: 1, celsius: -2 });
    expect([ended, progress.step]).toEqual(['blocked', 'temperature']);
    expect(press(steps, progress, joint)).toMatchObject({
      why: expect.stringMatching(/^Stop: at -2 °C/) as unknown,
    });
  });

  it('not proved: it wants the proof or a reason which says something', () => {
    const answers = { ...freshSeal(steps), torqueNm: 1, celsius: 8 };
    expect(worked(answers, ['Main cable']).progress.step).toBe('proved');
    expect(worked({ ...answers, unproved: ' ok ' }, ['Main cable']).progress.step).toBe('proved');
    expect(worked({ ...answers, unproved: 'rain is coming' }, ['Main cable']).ended).toBe('done');
  });

  it('goes back one step, and keeps the answers', () => {
    const at = { step: 'dry', torqueNm: 0.9 };
    expect(backOne(steps, at)).toEqual({ step: 'torque', torqueNm: 0.9 });
    expect(stepAt(steps, backOne(steps, freshSeal(steps)))).toBe(0);
  });

  it('reads what was kept, and nothing else', () => {
    const kept = { step: 'layer-1', celsius: 4, torqueNm: 1 };
    expect(readSealProgress(JSON.parse(JSON.stringify(kept)))).toEqual(kept);
    for (const junk of [null, 'x', {}, { step: 3 }]) expect(readSealProgress(junk)).toBeUndefined();
    expect(stepAt(steps, { step: 'gone' })).toBe(0);
  });
});
