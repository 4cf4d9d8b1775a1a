import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { drawnEnd, endFaults, faultKinds, faultsOf } from '../make/index.js';
import { defaultPractice } from '../practice/index.js';
import {
  assemblyDrills,
  assemblyQuestion,
  nextAssembly,
  type AssemblyDrill,
  type AssemblyQuestion,
} from './assemblyDrill.js';
import { allSubjects, type DrillScore } from './index.js';

const setting = {
  catalog,
  practice: defaultPractice,
  system: 'metric',
  subjects: allSubjects(catalog),
} as const;
const seed = fc.integer({ min: 0, max: 2 ** 31 - 1 });
const ask = (kind: AssemblyDrill, from: number, score: DrillScore = {}): AssemblyQuestion =>
  nextAssembly(kind, setting, score, from);
const questionOf = (id: string): AssemblyQuestion => assemblyQuestion(id, setting, 1);

describe('assembling drills, made from the recipes', () => {
  it('the same seed asks the same', () => {
    for (const kind of assemblyDrills) {
      const [one, other] = [ask(kind, 7), ask(kind, 7)];
      expect(one.id).toBe(other.id);
      expect(one.options).toEqual(other.options);
      expect(one.bench).toEqual(other.bench);
    }
  });

  it('order: every part lies on the bench once, and the right order is the train’s', () => {
    fc.assert(
      fc.property(seed, (from) => {
        const { bench, right, card } = ask('order', from);
        expect(bench.map(({ id }) => id).sort()).toEqual(card.train.map(({ id }) => id).sort());
        expect(right.split('>')).toEqual(card.train.map(({ id }) => id));
      }),
      { numRuns: 100 },
    );
  });

  it('order: the reason names the first part that is in the wrong place', () => {
    const question = questionOf('order:uhf-plug-crimp-10mm|rg213');
    expect(question.right).toBe('nut>shrink>ferrule>body');
    expect(question.reason('nut>ferrule>shrink>body')).toContain('Place 2 is the shrink tube’s');
    expect(question.reason(question.right)).not.toContain('Place');
  });

  it('strip: four choices, one right, and the reason says what the wrong one causes', () => {
    fc.assert(
      fc.property(seed, (from) => {
        const { options, right, reason } = ask('strip', from);
        expect(options).toHaveLength(4);
        expect(new Set(options.map(({ id }) => id)).size).toBe(4);
        expect(options.filter(({ id }) => id === right)).toHaveLength(1);
        const wrong = options.find(({ id }) => id !== right);
        // What is right is said to both; what the slip causes only to the one who made it.
        const [toTheWrong, toTheRight] = [reason(wrong?.id ?? ''), reason(right)];
        expect(toTheWrong).not.toBe(toTheRight);
        expect(toTheWrong).toContain(toTheRight);
      }),
      { numRuns: 100 },
    );
  });

  it('fault: the true fault and “nothing” are always among the choices', () => {
    fc.assert(
      fc.property(seed, (from) => {
        const { options, right, end, card } = ask('fault', from);
        const ids = options.map(({ id }) => id);
        expect(ids).toContain(right);
        expect(ids).toContain('none');
        expect(ids.length).toBeGreaterThanOrEqual(4);
        expect(end).toBeDefined();
        for (const id of ids) expect(faultsOf(card)).toContain(id);
      }),
      { numRuns: 100 },
    );
  });

  it('every fault of the trade is asked for in the end', () => {
    const asked = new Set(Array.from({ length: 300 }, (_, k) => ask('fault', k * 7919).right));
    expect(asked).toEqual(new Set(endFaults));
  });

  it('what was missed comes back sooner', () => {
    const id = 'strip:uhf-plug-crimp-5mm|rg58';
    const times = (score: DrillScore): number =>
      Array.from({ length: 400 }, (_, k) => ask('strip', k * 104729, score).id).filter((one) => one === id)
        .length;
    expect(times({ [id]: { asked: 1, missed: 1, last: 'missed' } })).toBeGreaterThan(3 * times({}));
  });

  it('a drill that is not there is a mistake of the program', () =>
    expect(() => questionOf('order:nothing|rg58')).toThrow('nothing'));
});

describe('a drawn end shows its fault and nothing else', () => {
  const { card } = questionOf('fault:bnc-plug-crimp-25mm|rg174|none');
  const sound = drawnEnd(card, 'none');

  it.each(endFaults.filter((fault) => fault !== 'none'))('%s', (fault) => {
    const spoilt = drawnEnd(card, fault);
    expect(spoilt).not.toEqual(sound);
    expect(spoilt.description).not.toBe(sound.description);
    // The words say what is seen, not what it is called.
    expect(spoilt.description.toLowerCase()).not.toContain(fault);
    expect(faultKinds[fault].reason).toMatch(/\.$/);
    expect(faultKinds[fault].step(card), fault).toBeTruthy();
  });

  it('short braid: what the braid lacks is bare dielectric, the jacket cut stays', () => {
    const sum = (end: typeof sound): number => end.stretches.reduce((all, { lengthMm }) => all + lengthMm, 0);
    expect(sum(drawnEnd(card, 'short braid'))).toBeCloseTo(sum(sound), 9);
  });

  it('a part without a pin cannot have the wrong one', () => {
    const uhf = questionOf('fault:uhf-plug-crimp-5mm|rg58|none').card;
    expect(faultsOf(uhf)).not.toContain('wrong pin');
    expect(faultsOf(uhf)).toContain('forgotten ferrule');
  });
});
