import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import { aRun, cable, sheetOf, snagsOf } from '../aRun.fixture.js';
import { REMAKE_M, applyChange, dcShorts, defaultPractice, endMade, shorten, type Facts } from '../index.js';
import { slackOf } from '../facts/slack.js';

const entryOf = (
  kind: 'end made' | 'end failed' | 'damaged',
  at: number,
  lostM?: number,
): Facts['log'][number] => ({
  id: `e${at}`,
  kind,
  about: 'main.a',
  text: '',
  by: 'Wenna',
  at: `2026-11-0${at}T10:00:00.000Z`,
  ...(lostM === undefined
    ? {}
    : { end: { part: 'n-plug-crimp-10mm', cable: 'rg213', recipe: 'crimp-bnc', work: 'new end', lostM } }),
});
const facts = (...log: Facts['log'][number][]): Facts => ({ readings: [], log });

describe('an end is made until it fails or is damaged', () => {
  it.each([
    [[], false],
    [[entryOf('end made', 1)], true],
    [[entryOf('end made', 1), entryOf('damaged', 2)], false],
    [[entryOf('end made', 1), entryOf('end failed', 2)], false],
    [[entryOf('end failed', 1), entryOf('end made', 2)], true],
    [[entryOf('end made', 3), entryOf('damaged', 2)], true],
  ])('%#', (log, made) => expect(endMade(facts(...log), 'main.a')).toBe(made));

  it('the sheet counts what an end has cost', () => {
    const [end] = sheetOf(aRun(), facts(entryOf('end failed', 1, 0.04), entryOf('damaged', 2, 0.3))).ends;
    expect(end.failures).toBe(1);
    expect(end.lostM).toBeCloseTo(0.34, 9);
  });
});

// Arithmetic of the legs: 12 m and a loop of 0.3 m; a re-make costs 60 mm (common practice, no source).
describe('what the slack still covers', () => {
  const slack = (lengthM: number) => {
    const found = slackOf(aRun(), lengthM, defaultPractice, facts());
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
    expect(slackOf(aRun({ legs: [] }), 5, defaultPractice, facts())).toBeUndefined());

  it('too little for the re-makes is a caution, and no longer one when the ends are made', () => {
    const tight = aRun({ pieces: [cable({ lengthM: 12.31 })] });
    expect(snagsOf(tight, 'reach')[0]).toMatchObject({
      level: 'caution',
      what: 'Reaches, with no cable for a re-make',
    });
    const other = { ...entryOf('end made', 1), id: 'b', about: 'main.b' };
    expect(snagsOf(tight, 'reach', facts(entryOf('end made', 1), other))).toEqual([]);
  });

  it('too short for the legs and loops is a stop, made or not', () => {
    const other = { ...entryOf('end made', 1), id: 'b', about: 'main.b' };
    const short = aRun({ pieces: [cable({ lengthM: 12.2 })] });
    expect(snagsOf(short, 'reach', facts(entryOf('end made', 1), other))[0].level).toBe('stop');
  });
});

describe('a failed end makes its cable shorter', () => {
  it('by the length it cost: length, phase, time and loss go down together', () => {
    const design = aRun();
    const { before, after, change } = shorten(design, catalog, 'main', 0.5);
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
    const { verdict } = shorten(aRun(), catalog, 'main', lostM);
    expect(verdict.level).toBe(level);
    expect(verdict.text).toContain(words);
  });

  it('nothing lost is no change', () => expect(shorten(aRun(), catalog, 'main', 0).change).toBeUndefined());

  it('where length is phase, a failure is a stop whatever the slack', () => {
    const phased = aRun({
      pieces: [cable({ lengthM: 12.5, target: { frequencyHz: 145e6, degrees: 3300 } })],
    });
    const { verdict } = shorten(phased, catalog, 'main', REMAKE_M);
    expect(verdict.level).toBe('stop');
    expect(verdict.text).toContain('phase');
  });

  it('a piece that is no assembly is a mistake of the program', () =>
    expect(() => shorten(aRun(), catalog, 'nowhere', 1)).toThrow('nowhere'));
});

// Common practice, no source: what joins pin and shell rightly.
describe('reasons for a legitimate short', () => {
  it('names the antenna that is grounded, and the feed', () => {
    expect(dcShorts(aRun())).toEqual([expect.stringContaining('Aerial joins pin and shell')]);
    expect(
      dcShorts(aRun({ antenna: { name: 'Open whip', face: 'n-jack', swr: 1.2, dcShort: false } })),
    ).toEqual([]);
    expect(dcShorts(aRun({ service: { dcFeed: true } }))).toHaveLength(2);
  });
});
