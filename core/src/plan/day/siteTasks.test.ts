import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { defaultPractice } from '../../practice/index.js';
import { arrester, cable, fact, sheetOf } from '../../run/aRun.fixture.js';
import type { Facts } from '../../run/index.js';
import { aSite, routed } from '../../site/aSite.fixture.js';
import { aGround, arrested, groundedSite } from '../../site/aGround.fixture.js';
import { onSite, survey, surveyedFacts, usualDay, type Site } from '../../site/index.js';
import { handsFor } from './defaults.js';
import { beginningOf, endingOf, schedule, siteTasks, type Task, type TimedTask } from './index.js';

const pieces = [cable({ id: 'in', lengthM: 2.6 }), arrester(), cable({ lengthM: 22.5 })];
function tasksOf(facts: Facts = [], site: Site = aSite(), timed: readonly TimedTask[] = []): Task[] {
  const design = onSite(routed({ pieces }), site);
  const runs = [{ id: 'run-0', design, facts, sheet: sheetOf(design, facts) }];
  const installed = facts.some(({ kind }) => kind === 'installed');
  const sheet = survey(site, [{ ...runs[0], installed }], catalog);
  return siteTasks(runs, sheet, { catalog, practice: defaultPractice, timed });
}
const called = (tasks: readonly Task[], id: string): Task => {
  const found = tasks.find((task) => task.id === id);
  if (!found) throw new Error(`no task ${id} among ${tasks.map((task) => task.id).join('; ')}`);
  return found;
};
/** The tasks of a run with an arrester, on a site with its ground. */
function arrestedTasks(site: Site, facts: Facts = []): Task[] {
  const design = onSite(arrested, site);
  const run = { id: 'run-0', design, facts, sheet: sheetOf(design, facts), installed: false };
  return siteTasks([run], survey(site, [run], catalog), { catalog, practice: defaultPractice });
}
/** Everything a task waits for, near and far. */
const before = (tasks: readonly Task[], id: string): string[] =>
  called(tasks, id).after.flatMap((one) => [one, ...before(tasks, one)]);

// Order of a day: handbook of the trade, 9; common practice, no source.
describe('the tasks of a site', () => {
  it('come from the sheets: cut before make, bench test before it goes up, prove before seal, hand over last', () => {
    const tasks = tasksOf();
    expect(called(tasks, 'run-0 make main.a').after).toContain('run-0 cut main');
    expect(before(tasks, 'run-0 hang')).toEqual(expect.arrayContaining(['run-0 test main', 'pull duct']));
    expect(before(tasks, 'run-0 prove')).toEqual(
      expect.arrayContaining(['run-0 mate inside', 'run-0 mate aloft', 'run-0 arrester']),
    );
    for (const { id } of tasks.filter(({ kind }) => kind === 'seal'))
      expect(before(tasks, id)).toContain('run-0 prove');
    const work = tasks.filter(({ runId, kind }) => runId === 'run-0' && kind !== 'hand over');
    expect(called(tasks, 'run-0 hand over').after.toSorted()).toEqual(work.map(({ id }) => id).toSorted());
  });

  it('an end which does not pass the duct is made after the pull', () => {
    const narrow = aSite({ duct: { duct: { boreMm: 16, lubricated: false, drained: true, cord: true } } });
    const tasks = tasksOf([], narrow);
    const late = tasks.filter(({ kind, place }) => kind === 'make' && place !== 'bench');
    expect(late.map(({ id }) => id)).toEqual(['run-0 make main.a']);
    expect(before(tasks, late[0].id)).toContain('pull duct');
    expect(before(tasks, 'pull duct')).toContain('run-0 make main.b');
    // With room enough both are made at the bench.
    expect(tasksOf().filter(({ kind, place }) => kind === 'make' && place !== 'bench')).toEqual([]);
  });

  it('what is done is no task, and nobody waits for it', () => {
    const done = [
      fact({ kind: 'cut', pieceId: 'main' }),
      fact({ kind: 'end made', endId: 'main.a' }),
      fact({ kind: 'grounded' }),
      fact({ kind: 'installed' }),
      fact({ kind: 'task done', task: 'mate aloft', learnedBy: 'mate', place: 'aloft' }),
    ];
    const tasks = tasksOf(done);
    const ids = new Set(tasks.map(({ id }) => id));
    for (const gone of ['cut main', 'make main.a', 'arrester', 'hang', 'mate aloft'])
      expect(ids).not.toContain(`run-0 ${gone}`);
    for (const { after } of tasks) for (const id of after) expect(ids).toContain(id);
  });

  it('aloft two people who may climb, cautions at the task; sealing in the open waits for dry weather', () => {
    for (const task of tasksOf()) {
      if (task.place === 'aloft') {
        expect(task.people).toBe(2);
        expect(task.skills).toContain('climb');
        expect(task.cautions.join()).toContain('power lines');
      }
      // Under a roof it does not rain.
      if (task.kind === 'seal' && task.place === 'aloft') expect(task.dry).toBe(true);
    }
    const make = called(tasksOf(), 'run-0 make main.a');
    expect(make.tools).toContain('crimper');
    // RG-213 ferrules are crimped with 10.9 mm across flats (common practice, no source).
    expect(make.gear.join()).toContain('10.9 mm');
  });

  it('ground comes from its drawing: rods and joints which nobody has logged', () => {
    const site = groundedSite();
    const design = onSite(arrested, site);
    const runs = [{ id: 'run-0', design, facts: [], sheet: sheetOf(design) }];
    const { ground } = survey(site, [{ ...runs[0], installed: false }], catalog);
    const tasks = siteTasks(runs, survey(site, [{ ...runs[0], installed: false }], catalog), {
      catalog,
      practice: defaultPractice,
    });
    // The arrester is screwed to its bar: mounting it joins it, and is a task of the run.
    expect(tasks.filter(({ kind }) => kind === 'bond').map(({ id }) => id)).toEqual(
      ground.bonds.filter(({ bond }) => bond.joint !== 'mounted').map(({ bond: { id } }) => `bond ${id}`),
    );
    // Rods are driven, where others may lie already; the building’s own electrode is there.
    const rods = tasks.filter(({ kind }) => kind === 'rod');
    expect(rods.map(({ id, cautions }) => [id, cautions.join().includes('buried lines')])).toEqual([
      ['rod rod', true],
      ['rod building', false],
      ['rod mast-rod', true],
    ]);
    expect(called(tasks, 'rod building').title).toMatch(/^Look at/);
    // A ground kit opens the jacket.
    expect(
      tasks.filter(({ kind, dry }) => kind === 'bond' && dry).map(({ id, place }) => [id, place]),
    ).toEqual([
      ['bond kit-top-mast', 'aloft'],
      ['bond kit-foot-mast', 'ground'],
    ]);
  });

  it('times are learned from the log by recipe and place', () => {
    const { minutes, learnedBy } = called(tasksOf(), 'run-0 make main.a');
    const timed = Array.from({ length: 40 }, () => ({
      learnedBy,
      place: 'bench',
      by: 'Wenna',
      minutes: 3 * minutes,
    }));
    const slower = called(tasksOf([], aSite(), timed), 'run-0 make main.a').minutes;
    expect(slower / minutes).toBeGreaterThan(2.5);
    const elsewhere = timed.map((one) => ({ ...one, place: 'aloft' }));
    expect(called(tasksOf([], aSite(), elsewhere), 'run-0 make main.a').minutes).toBe(minutes);
  });

  // By hand: the default counts as five times, and so does what all hands took for one hand.
  it('and by hand: who is quick has a time of their own, under whatever spelling of the name', () => {
    const { minutes, learnedBy } = called(tasksOf(), 'run-0 make main.a');
    const took = (by: string, share: number) => ({ learnedBy, place: 'bench', by, minutes: minutes * share });
    const timed = [
      ...Array.from({ length: 20 }, () => took('Wenna', 1)),
      ...Array.from({ length: 10 }, () => took(' JOSS', 0.5)),
    ];
    const { minutes: all, minutesOf } = called(tasksOf([], aSite(), timed), 'run-0 make main.a');
    expect(Object.keys(minutesOf).toSorted()).toEqual(['joss', 'wenna']);
    expect(minutesOf.joss).toBeLessThan(all);
    expect(minutesOf.wenna).toBeGreaterThan(all);
    // ln of Joss’s own time lies two thirds of the way from all’s to what it took.
    // Whole minutes: a tenth is within the rounding.
    const ratio = minutesOf.joss / (all * (0.5 / (all / minutes)) ** (2 / 3));
    expect(Math.abs(ratio - 1)).toBeLessThan(0.1);
  });

  it('a task says what it takes off the shelf, and ticking it writes that', () => {
    const tasks = tasksOf();
    // A crimped plug comes with its ferrule; shrink tube is cut from the shop’s own (common practice, no source).
    expect(called(tasks, 'run-0 make main.a').parts.map(({ kind }) => kind)).toEqual([
      'connector',
      'shrink tube',
      'ferrule',
    ]);
    const hang = called(tasks, 'run-0 hang');
    const clips = hang.parts.find(({ kind }) => kind === 'support');
    // 12 m of mast at a metre (fixture), the list of parts says the same.
    expect(clips?.amount).toBe(12);
    const [fact] = endingOf(hang, undefined);
    expect(fact).toMatchObject({ kind: 'installed', used: [{ part: clips?.id, amount: 12 }] });
    const arrest = endingOf(called(tasks, 'run-0 arrester'), 25);
    expect(arrest.map(({ kind }) => kind)).toEqual(['grounded', 'task done']);
    expect(arrest.filter((one) => 'used' in one)).toHaveLength(1);
    expect(beginningOf(called(tasks, 'run-0 make main.a'))).toMatchObject({
      task: 'make main.a',
      place: 'bench',
      ends: { kind: 'end made', about: 'main.a' },
    });
  });

  // Handbook of the trade, 9: bond before the antenna goes live.
  it('nothing is coupled before the way of its arrester to earth is joined', () => {
    const site = groundedSite();
    const design = onSite(arrested, site);
    const runs = [{ id: 'run-0', design, facts: [], sheet: sheetOf(design) }];
    const sheet = survey(site, [{ ...runs[0], installed: false }], catalog);
    const tasks = siteTasks(runs, sheet, { catalog, practice: defaultPractice });
    for (const { id } of tasks.filter(({ kind }) => kind === 'mate'))
      expect(before(tasks, id)).toEqual(expect.arrayContaining(['bond bar-rod']));
  });

  // Handbook of the trade, 9: mount, join, prove, seal.
  it('an arrester is mounted before its conductor is joined, and nothing is proved before that', () => {
    const own = aGround();
    const bonds = own.bonds.map((one) =>
      one.id === 'mounted' ? { ...one, joint: 'bolt' as const, lengthM: 0.3 } : one,
    );
    const site = groundedSite({ ...own, bonds });
    const tasks = arrestedTasks(site);
    expect(called(tasks, 'run-0 arrester').title).toBe('Mount the arrester');
    expect(called(tasks, 'bond mounted').after).toContain('run-0 arrester');
    expect(called(tasks, 'run-0 prove').after).toEqual(
      expect.arrayContaining(['bond mounted', 'bond bar-rod']),
    );
    // Coupled and ticked already, it is still not proved before it is joined.
    const ticked = ['mate inside', 'mate outside', 'mate aloft'].map((task) =>
      fact({ kind: 'task done', task, learnedBy: 'mate', place: 'inside' }),
    );
    expect(called(arrestedTasks(site, ticked), 'run-0 prove').after).toContain('bond mounted');
  });

  it('what is screwed on is joined once its arrester is mounted, by whom and when', () => {
    const design = onSite(arrested, groundedSite());
    const facts = [fact({ kind: 'grounded' })];
    const run = { id: 'run-0', design, facts, sheet: sheetOf(design, facts), ...surveyedFacts(facts) };
    const { ground } = survey(groundedSite(), [run], catalog);
    const madeOf = (id: string) => ground.bonds.find(({ bond }) => bond.id === id)?.bond.made;
    expect(madeOf('mounted')).toMatchObject({ by: facts[0].by });
    expect(madeOf('bar-rod')).toBeUndefined();
  });

  it('joints are coupled where their leg is, outdoors only when it is dry, and stay open until they are sealed', () => {
    const outside = aSite({ mast: { kind: 'surface clipped' } });
    const tasks = tasksOf([], outside);
    expect(tasks.filter(({ kind }) => kind === 'mate').map(({ id, place, dry }) => [id, place, dry])).toEqual(
      [
        ['run-0 mate inside', 'inside', false],
        ['run-0 mate outside', 'ground', true],
      ],
    );
    expect(called(tasks, 'run-0 mate outside').opensUntil).toEqual(
      tasks.filter(({ kind, dry }) => kind === 'seal' && dry).map(({ id }) => id),
    );
    expect(called(tasks, 'run-0 mate inside').opensUntil).toEqual([]);
    expect(called(tasks, 'run-0 hang').place).toBe('ground');
    expect(called(tasksOf(), 'run-0 mate aloft').opensUntil).not.toEqual([]);
    // One entry for all below, as earlier versions wrote it, closes both.
    const before = fact({ kind: 'task done', task: 'mate', learnedBy: 'mate', place: 'inside' });
    expect(tasksOf([before], outside).filter(({ kind }) => kind === 'mate')).toEqual([]);
  });

  it('read on the bench alone nothing is coupled yet; a reading of the whole run says that it is', () => {
    const design = onSite(routed({ pieces }), aSite());
    const read = sheetOf(design).proofs.flatMap(({ pieceId, expectations }) =>
      expectations.map(({ id, expected }) =>
        fact({
          kind: 'reading',
          pieceId,
          expectation: id,
          value: Number.isFinite(expected.value) ? expected.value : null,
        }),
      ),
    );
    const mates = (facts: Facts) => tasksOf(facts).filter(({ kind }) => kind === 'mate').length;
    expect(tasksOf(read).filter(({ kind }) => kind === 'bench test')).toEqual([]);
    expect(mates(read)).toBe(mates([]));
    const load = fact({ kind: 'run reading', what: 'load alone', value: 1.05 });
    expect(mates([...read, load])).toBe(mates([]));
    expect(mates([fact({ kind: 'run reading', what: 'swr', value: 1.3 })])).toBe(0);
  });

  it('signed with stages open, the work is still there; without what signing is for', () => {
    const ids = tasksOf([fact({ kind: 'handed over' })]).map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['run-0 make main.a', 'run-0 hang', 'run-0 prove']));
    expect(ids).not.toContain('run-0 hand over');
  });

  // One person lifts 23 kg at the most: load constant of the NIOSH lifting equation, Waters and others 1993. Lengths: common practice.
  it('asks for as many hands as length and mass want', () => {
    const lay = (lengthM: number, massKg = 1) => handsFor('lay', { lengthM, massKg, aloft: false });
    expect([lay(2), lay(5), lay(30), lay(5, 30), lay(30, 60)]).toEqual([1, 1, 2, 2, 3]);
    const pull = (lengthM: number) => handsFor('pull', { lengthM, massKg: 1, aloft: false });
    expect([pull(5), pull(20), pull(40)]).toEqual([1, 2, 3]);
    expect(handsFor('lay', { lengthM: 3, massKg: 1, aloft: true })).toBe(2);
  });

  it('several of the same take several times as long, and the run does not wait for those of others', () => {
    const dozen = onSite(routed({ pieces: [cable({ count: 12, lengthM: 25 })] }), aSite());
    const dozens = (facts: Facts): Task[] => {
      const run = { id: 'run-0', design: dozen, facts, sheet: sheetOf(dozen, facts), installed: false };
      return siteTasks([run], survey(aSite(), [run], catalog), { catalog, practice: defaultPractice });
    };
    const tasks = dozens([]);
    const minutesOf = (id: string) => called(tasks, `run-0 ${id}`).minutes;
    // Cutting takes 6 min each (the shop’s usual time), eleven more ends eleven times one.
    expect(minutesOf('cut main')).toBe(72);
    expect(minutesOf('make main.a for others')).toBe(11 * minutesOf('make main.a'));
    expect(before(tasks, 'run-0 hang')).not.toContain('run-0 make main.a for others');
    expect(
      called(tasks, 'run-0 make main.a for others').parts.find(({ kind }) => kind === 'connector')?.amount,
    ).toBe(11);
    const made = ['main.a', 'main.a#4'].map((endId) => fact({ kind: 'end made', endId }));
    expect(called(dozens(made), 'run-0 make main.a for others').title).toMatch(/^Make 10 more of/);
  });

  it('all of it goes into a plan in which nothing is done twice', () => {
    const tasks = tasksOf();
    const { placed, left } = schedule(tasks, usualDay(['Wenna', 'Joss']), { nowMin: 480, tries: 50 });
    expect(left).toEqual([]);
    expect(new Set(placed.map(({ task }) => task.id)).size).toBe(tasks.length);
  });
});
