import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import { aRun, cable, fact, sheetOf, snagsOf } from '../aRun.fixture.js';
import { REMAKE_M, defaultPractice } from '../../practice/index.js';
import { applyChange, dcShorts, isEndMade, noFacts, shorten, type Design, type Fact } from '../index.js';
import { slackOf } from '../facts/slack.js';

const about = (kind: 'end made' | 'end failed' | 'damaged', day: number, lostM?: number): Fact =>
  fact(
    {
      kind,
      endId: 'main.a',
      ...(lostM === undefined
        ? {}
        : {
            end: { part: 'n-plug-crimp-10mm', cable: 'rg213', recipe: 'crimp-bnc', work: 'new end', lostM },
          }),
    },
    `2026-11-0${day}T10:00:00.000Z`,
  );
const cut = (design: Design, lostM: number, pieceId = 'main'): ReturnType<typeof shorten> =>
  shorten(design, catalog, { pieceId, lostM }, { facts: noFacts, practice: defaultPractice });

describe('an end is made until it fails or is damaged', () => {
  it.each([
    [[], false],
    [[about('end made', 1)], true],
    [[about('end made', 1), about('damaged', 2)], false],
    [[about('end made', 1), about('end failed', 2)], false],
    [[about('end failed', 1), about('end made', 2)], true],
    [[about('end made', 3), about('damaged', 2)], true],
  ])('%#', (log, made) => expect(isEndMade(log, 'main.a')).toBe(made));

  it('the sheet counts what an end has cost', () => {
    const [end] = sheetOf(aRun(), [about('end failed', 1, 0.04), about('damaged', 2, 0.3)]).ends;
    expect(end.failures).toBe(1);
    expect(end.lostM).toBeCloseTo(0.34, 9);
  });
});

// Arithmetic of the legs: 12 m and a loop of 0.3 m; a re-make costs 60 mm (common practice, no source).
describe('what the slack still covers', () => {
  const slack = (lengthM: number) => {
    const found = slackOf(aRun(), lengthM, defaultPractice, noFacts);
    if (!found) throw new Error('no slack');
    return found;
  };

  it.each([
    [12.5, 3, 8],
    [12.36, 1, 6],
    [12.3, 0, 5],
    [12, 0, 0],
    [11, 0, 0],
  ])('%d m of cable: %d re-makes, %d with the loop given up', (lengthM, remakes, withLoops) => {
    expect(slack(lengthM).remakes).toBe(remakes);
    expect(slack(lengthM).remakesWithLoops).toBe(withLoops);
  });

  it('says nothing of a run without legs', () =>
    expect(slackOf(aRun({ legs: [] }), 5, defaultPractice, noFacts)).toBeUndefined());

  it('too little for the re-makes is a caution, and no longer one when the ends are made', () => {
    const tight = aRun({ pieces: [cable({ lengthM: 12.31 })] });
    expect(snagsOf(tight, 'reach')[0]).toMatchObject({
      level: 'caution',
      what: 'Reaches, with no spare for re-terminating',
    });
    const other = fact({ kind: 'end made', endId: 'main.b' });
    expect(snagsOf(tight, 'reach', [about('end made', 1), other])).toEqual([]);
  });

  it('too short for the legs and loops is a stop, made or not', () => {
    const other = fact({ kind: 'end made', endId: 'main.b' });
    const short = aRun({ pieces: [cable({ lengthM: 12.2 })] });
    expect(snagsOf(short, 'reach', [about('end made', 1), other])[0].level).toBe('stop');
  });
});

describe('a failed end makes its cable shorter', () => {
  it('by the length it cost: length, phase, time and loss go down together', () => {
    const design = aRun();
    const { before, after, change } = cut(design, 0.5);
    if (!after || !change) throw new Error('nothing left');
    expect(after.length.value).toBeCloseTo(12, 9);
    // β = 360 f / (VF c); RG-213/U has VF 0.66 (MIL-DTL-17, from memory).
    const degreesPerM = (360 * 146e6) / (0.66 * SPEED_OF_LIGHT);
    expect(before.degrees.value - after.degrees.value).toBeCloseTo(0.5 * degreesPerM, 6);
    expect(before.delayNs - after.delayNs).toBeCloseTo((0.5 / (0.66 * SPEED_OF_LIGHT)) * 1e9, 6);
    expect(after.loss.value / before.loss.value).toBeCloseTo(12 / 12.5, 9);
    expect(sheetOf(applyChange(design, change)).totalM).toBeCloseTo(sheetOf(design).totalM - 0.5, 9);
  });

  it.each([
    [0.05, 'fine', 'still reaches'],
    [0.19, 'caution', 'just reaches'],
    [0.3, 'caution', 'giving up loops'],
    [1, 'stop', 'does not reach'],
    [12.49, 'stop', 'Nothing would be left'],
  ])('%d m lost: %s', (lostM, level, words) => {
    const { verdict } = cut(aRun(), lostM);
    expect(verdict.level).toBe(level);
    expect(verdict.text).toContain(words);
  });

  it('nothing lost is no change', () => expect(cut(aRun(), 0).change).toBeUndefined());

  it('of a piece cut to electrical length, a failure is a stop whatever the slack', () => {
    const phased = aRun({
      pieces: [cable({ lengthM: 12.5, target: { frequencyHz: 145e6, degrees: 3300 } })],
    });
    const { verdict } = cut(phased, REMAKE_M);
    expect(verdict.level).toBe('stop');
    expect(verdict.text).toContain('cut to electrical length');
  });

  it('a piece that is no assembly is a mistake of the program', () =>
    expect(() => cut(aRun(), 1, 'nowhere')).toThrow('nowhere'));
});

// Common practice, no source: what joins pin and shell rightly.
describe('reasons for a legitimate short', () => {
  it('names the antenna that is grounded, and the feed', () => {
    expect(dcShorts(aRun(), catalog)).toEqual([expect.stringContaining('Aerial joins pin and shell')]);
    expect(
      dcShorts(aRun({ antenna: { name: 'Open whip', face: 'n-jack', swr: 1.2, dcShort: false } }), catalog),
    ).toEqual([]);
    expect(dcShorts(aRun({ service: { dcFeed: true } }), catalog)).toHaveLength(2);
    const filtered = aRun({
      pieces: [{ kind: 'adapter', id: 'f', adapter: 'filter-2m', reversed: false }, cable()],
    });
    expect(dcShorts(filtered, catalog)).toContainEqual(expect.stringContaining('Band filter'));
  });
});
