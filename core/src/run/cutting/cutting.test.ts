import { describe, expect, it } from 'vitest';
import { catalog, entry } from '../../catalog/index.js';
import { delayOfResonance, resonanceOfDelay } from '../../cut/index.js';
import { SPEED_OF_LIGHT } from '../../line/index.js';
import { defaultPractice } from '../../practice/index.js';
import { anOutdoorRun, aRun, cable, fact } from '../aRun.fixture.js';
import type { Assembly } from '../design/design.js';
import { noFacts } from '../facts/facts.js';
import type { TrimRecord } from '../facts/trimmed.js';
import { piecesToCut } from './piecesToCut.js';
import { setMember } from './setMembers.js';
import { lotOf, trimGoalOf, trimReadings, trimsOfOthers } from './trimming.js';

const leg = cable({
  id: 'leg',
  label: 'Leg',
  lengthM: 1.6,
  target: { degrees: 450, frequencyHz: 151.6e6 },
  lot: 'Drum 7',
  set: 'pair',
}) as Assembly;
const rg213 = entry(catalog.cables, 'rg213');

/** A reading of a piece of this lot whose true velocity factor is given. */
function read(lengthM: number, velocityFactor: number, over: Partial<TrimRecord> = {}): TrimRecord {
  const nearS = 6e-11;
  const delayS = nearS + lengthM / (velocityFactor * SPEED_OF_LIGHT);
  return {
    cable: 'rg213',
    lot: 'Drum 7',
    lengthM,
    frequencyHz: resonanceOfDelay(delayS, 'open', 1),
    far: 'open',
    order: 1,
    nearS,
    ...over,
  };
}

describe('several of the same', () => {
  it('are one entry of the run and each a piece to cut', () => {
    const run = { id: 'r', design: aRun({ pieces: [cable({ count: 4 })] }), facts: noFacts };
    const pieces = piecesToCut([run], catalog, defaultPractice);
    expect(pieces.map(({ name }) => name)).toEqual([
      'Main cable 1',
      'Main cable 2',
      'Main cable 3',
      'Main cable 4',
    ]);
    expect(new Set(pieces.map(({ id }) => id)).size).toBe(4);
    expect(new Set(pieces.map(({ lengthM }) => lengthM)).size).toBe(1);
  });
});

describe('what a lot has taught', () => {
  it('without readings it is the data sheet’s, within its tolerance', () => {
    const { velocityFactor, sigma } = lotOf([], 'rg213', 'Drum 7', catalog);
    expect(velocityFactor).toBe(rg213.velocityFactor);
    // ± 1.5 % as three standard deviations.
    expect(sigma).toBeCloseTo((0.015 * rg213.velocityFactor) / 3, 6);
  });

  it('readings lead to the lot’s own, each with its connector taken off', () => {
    const own = 0.671;
    const readings = [1.7, 1.65, 1.63].map((lengthM) => read(lengthM, own));
    const learned = lotOf(readings, 'rg213', 'Drum 7', catalog);
    expect(learned.velocityFactor).toBeCloseTo(own, 3);
    expect(learned.sigma).toBeLessThan(lotOf([], 'rg213', 'Drum 7', catalog).sigma / 3);
  });

  // Every run has a piece which is called main: one of another run teaches this lot.
  it('pieces of the same name in other runs teach, this piece itself does not', () => {
    const of = (runId: string, about: string, vf: number) => ({ ...read(2, vf), runId, about });
    const all = [of('a', 'main', 0.67), of('b', 'main', 0.68), of('a', 'tail', 0.69)];
    expect(trimsOfOthers(all, 'a', 'main')).toEqual([all[1], all[2]]);
    // One that said that the cable is not as it is named counts for its own piece as well.
    const strange = { ...all[0], notAsNamed: true as const };
    expect(trimsOfOthers([strange], 'a', 'main')).toEqual([strange]);
  });

  it('another lot, another cable and a lot nobody named teach nothing', () => {
    const strange = [
      read(1.7, 0.671, { lot: 'Drum 8' }),
      read(1.7, 0.671, { cable: 'rg58' }),
      read(1.7, 0.671, { lot: '' }),
    ];
    expect(lotOf(strange, 'rg213', 'Drum 7', catalog).used).toEqual([]);
    expect(lotOf([read(1.7, 0.671, { lot: '' })], 'rg213', '', catalog).used).toEqual([]);
  });
});

describe('what a piece is trimmed to', () => {
  const lot = lotOf([], 'rg213', 'Drum 7', catalog);
  it('only a piece cut to electrical length has a goal', () =>
    expect(trimGoalOf(cable() as Assembly, catalog, lot)).toBeUndefined());
  it('carries the target, and what is still to come on the far end', () => {
    const goal = trimGoalOf(leg, catalog, lot);
    expect(goal).toMatchObject({ degrees: 450, frequencyHz: 151.6e6 });
    expect(goal?.toComeS).toBeGreaterThan(0);
    expect(goal?.toComeS).toBeLessThan(0.5e-9);
  });
  it('its readings are its own, in the order taken', () => {
    const trims = [1.7, 1.65].map((m, k) =>
      fact({ kind: 'trimmed', pieceId: 'leg', trim: read(m, 0.66) }, `2026-11-0${k + 1}T09:00:00Z`),
    );
    const other = fact({ kind: 'trimmed', pieceId: 'stub', trim: read(1, 0.66) });
    expect(trimReadings([...trims, other], 'leg').map(({ lengthM }) => lengthM)).toEqual([1.7, 1.65]);
  });
});

describe('a member of a set', () => {
  it('is known once it was read, with what is still to come', () => {
    expect(setMember(leg, noFacts, catalog)).toBeUndefined();
    const trim = read(1.6, 0.66);
    const member = setMember(leg, [fact({ kind: 'trimmed', pieceId: 'leg', trim })], catalog);
    const goal = trimGoalOf(leg, catalog, lotOf([], 'rg213', 'Drum 7', catalog));
    expect(member?.delayS).toBeCloseTo(delayOfResonance(trim) + (goal?.toComeS ?? NaN), 14);
    expect(member).toMatchObject({ name: 'Leg', lot: 'Drum 7' });
  });
  it('a piece whose length is not electrical is none, read or not', () => {
    const plain = cable({ id: 'leg' }) as Assembly;
    expect(
      setMember(plain, [fact({ kind: 'trimmed', pieceId: 'leg', trim: read(1.6, 0.66) })], catalog),
    ).toBeUndefined();
  });
});

describe('what is still to be cut in a job', () => {
  const runs = [
    { id: 'one', design: anOutdoorRun(), facts: noFacts },
    { id: 'two', design: aRun({ pieces: [leg] }), facts: noFacts },
  ];
  it('every piece with its run, lot and set; cut ones are gone', () => {
    const wanted = piecesToCut(runs, catalog, defaultPractice);
    expect(wanted.map(({ id }) => id)).toEqual(['one in', 'one main', 'two leg']);
    expect(wanted[2]).toMatchObject({ set: 'pair', lot: 'Drum 7', cable: 'rg213', runName: 'A run' });
    const cut = [{ ...runs[0], facts: [fact({ kind: 'cut', pieceId: 'main' })] }, runs[1]];
    expect(piecesToCut(cut, catalog, defaultPractice).map(({ pieceId }) => pieceId)).toEqual(['in', 'leg']);
  });
  it('a piece whose length is phase is cut long, the others to what their ends leave', () => {
    const [inside, , trimmed] = piecesToCut(runs, catalog, defaultPractice);
    expect(inside.lengthM).toBeLessThan(2);
    const targetM = (450 / 360) * ((rg213.velocityFactor * SPEED_OF_LIGHT) / 151.6e6);
    expect(trimmed.lengthM).toBeGreaterThan(targetM - 0.06);
  });
});
