import { describe, expect, it } from 'vitest';
import {
  closure,
  closureIds,
  closureSteps,
  openingSteps,
  sealSystemIds,
  type ProfileStep,
} from '../index.js';

/** An N plug on 10 mm cable in a jack with its own cable behind it. */
const joint: ProfileStep[] = [
  { name: 'ferrule', lengthM: 0.02, diameterM: 0.0115 },
  { name: 'nut', lengthM: 0.02, diameterM: 0.0206 },
  { name: 'jack', lengthM: 0.02, diameterM: 0.0158 },
  { name: 'ferrule', lengthM: 0.02, diameterM: 0.0115 },
];
const millilitres = (text: string): number => Number(/(\d+) ml/.exec(text)?.[1]);
const planned = (id: (typeof closureIds)[number]) => {
  const plan = closure(id).plan(joint);
  if (!plan) throw new Error(`${id} does not fit`);
  return plan;
};
const work = { torqueNm: 1.1, salt: false, staysOpen: false, aloft: false };

describe('what closes a joint without layers', () => {
  // By hand: a shell of 32 by 160 mm holds 128.7 ml; the joint in it, slice by slice, and 80 mm of 11.5 mm cable displace 23.0 ml.
  // A tenth more stays in the bag.
  it('a splice is filled with what the joint leaves of its shell', () => {
    const displaced = Array.from({ length: 1600 }, (_, k) => (k + 0.5) * 1e-4).reduce((sum, at) => {
      const inJoint = at - 0.04;
      const step = joint[Math.floor(inJoint / 0.02)] as ProfileStep | undefined;
      const diameterM = inJoint >= 0 && step ? step.diameterM : 0.0115;
      return sum + Math.PI * (diameterM / 2) ** 2 * 1e-4;
    }, 0);
    const room = Math.PI * 0.016 ** 2 * 0.16;
    const told = millilitres(
      planned('splice')
        .steps.map(({ text }) => text)
        .join(' '),
    );
    expect(told).toBeGreaterThanOrEqual((room - displaced) * 1.1e6);
    expect(told).toBeLessThan((room - displaced) * 1.1e6 + 10);
    expect(planned('splice').materials[0].name).toContain('32 by 160 mm');
  });

  it('a larger joint takes the next shell, and one which none takes is said to have none', () => {
    const large = joint.map((step) => ({ ...step, diameterM: step.diameterM * 1.5 }));
    expect(closure('splice').plan(large)?.materials[0].name).toContain('45 by 220 mm');
    expect(closure('splice').plan([{ name: 'drum', lengthM: 0.9, diameterM: 0.03 }])).toBeUndefined();
  });

  // Handbook of the trade, 6: proved first, dry, warm enough; photo last. Resin burns and stings: common practice, no source.
  it.each(closureIds)(
    '%s: its card asks first and ends with a photo; what is poured comes with its caution',
    (id) => {
      const plan = planned(id);
      const steps = closureSteps(plan, work);
      expect(steps[0].ask).toBe('proved');
      expect(steps.map(({ ask }) => ask)).toEqual(expect.arrayContaining(['dry', 'temperature']));
      expect(steps.at(-1)?.id).toBe('photo');
      expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length);
      for (const { text, caution = '' } of plan.steps.filter((one) => / ml /.test(one.text)))
        expect([text, caution]).toEqual([text, expect.stringContaining('gloves')]);
    },
  );

  it('a split has no thread: no torque, no grease', () => {
    const text = closureSteps(planned('potted pair'), work)
      .map((step) => `${step.title} ${step.text} ${step.ask ?? ''}`)
      .join(' ');
    expect(text).not.toMatch(/torque|grease|Turn or push/);
    expect(closureSteps(planned('pit'), work).map(({ ask }) => ask)).toContain('torque');
  });
});

// Handbook of the trade, 6: never cut towards the jacket; RF burns: common practice, no source.
describe('opening a sealed joint', () => {
  const opened = (over: object = {}) =>
    openingSteps({ system: 'rubber and vinyl', aloft: false, transmits: true, fed: false, ...over });
  const textOf = (steps: ReturnType<typeof opened>) =>
    steps.map(({ title, text, caution = '' }) => `${title}. ${text} ${caution}`).join(' ');

  it.each(sealSystemIds)('%s: transmitter off first, found is asked before the photo', (system) => {
    const steps = opened({ system });
    expect(steps[0].title).toContain('Transmitter off');
    expect(steps.findIndex(({ ask }) => ask === 'found')).toBe(steps.length - 2);
    expect(steps.length).toBeGreaterThanOrEqual(5);
  });

  it('tape is scored away from the cable; aloft and with a feed the cautions stand at the first step', () => {
    expect(textOf(opened())).toContain('Never cut towards the jacket');
    expect(opened({ aloft: true })[0].caution).toMatch(/fall arrest.*burns the hand/);
    expect(opened({ transmits: false, fed: true })[0].text).toContain('direct current off');
    expect(opened({ transmits: false, aloft: false })[0].caution).toBeUndefined();
  });

  it('what was poured does not open again', () =>
    expect(textOf(opened({ system: undefined }))).toContain('does not open again'));
});
