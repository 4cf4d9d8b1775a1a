import { describe, expect, it } from 'vitest';
import { anOutdoorRun, aRun, cable, fact, sheetOf } from '../aRun.fixture.js';
import type { Design } from '../design/design.js';
import type { StageId } from '../design/stageId.js';
import { noFacts } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import { signOffProblem, stageHeadline, stages, type Stage } from './index.js';

const stage = (id: StageId, design: Design, facts: Facts = noFacts): Stage => {
  const found = sheetOf(design, facts).stages.find((one) => one.id === id);
  if (!found) throw new Error(`no stage ${id}`);
  return found;
};
const answer = (id: StageId, design: Design, facts: Facts = noFacts): string =>
  stageHeadline(id, sheetOf(design, facts), design, 'metric');

// Order of work: handbook, chapter 1, and the product page.
it('the stages stand in the order of work', () =>
  expect(stages.map(({ name }) => name)).toEqual([
    'Plan',
    'Cut',
    'Make',
    'Prove',
    'Route',
    'Ground',
    'Seal',
    'Hand over',
  ]));

describe('plan', () => {
  it('two ports with nothing between that cannot mate: not started', () => {
    const bare = aRun({ pieces: [], antenna: { name: 'A', face: 'uhf-jack', swr: 1.2, dcShort: true } });
    // Two jacks: the stop against the joint speaks first.
    expect(stage('plan', bare).state).toBe('snags');
    expect(stage('plan', bare).next).not.toBe('');
  });
  it('a sound run is planned', () =>
    expect(stage('plan', aRun())).toMatchObject({ state: 'done', next: '' }));
  it('a stop against the plan is what comes next, with its place', () => {
    const { state, next, at } = stage(
      'plan',
      aRun({ pieces: [cable({ a: { part: 'uhf-plug-crimp-10mm' } })] }),
    );
    expect(state).toBe('snags');
    expect(at).toBe('radio>main');
    expect(next).toMatch(/N/);
  });
});

describe('cut', () => {
  it('names the length and the cable to cut', () =>
    expect(answer('cut', aRun())).toMatch(/^Cut 12\.\d{2} m of RG-213/));
  it('asks to trim where length is phase', () =>
    expect(answer('cut', aRun({ pieces: [cable({ target: { degrees: 90, frequencyHz: 145e6 } })] }))).toBe(
      'Trim Main cable to 90° at 145 MHz',
    ));
  it('is done when all are cut, and says so when there is nothing', () => {
    const cut = [fact({ kind: 'cut', pieceId: 'main' })];
    expect(stage('cut', aRun(), cut)).toMatchObject({ state: 'done', detail: '1 of 1 cut' });
    expect(answer('cut', aRun(), cut)).toBe('All pieces are cut');
    expect(answer('cut', aRun({ pieces: [] }))).toBe('Nothing to cut');
  });
});

describe('make', () => {
  const one = [fact({ kind: 'end made', endId: 'main.a' })];
  it('counts ends and minutes', () => {
    expect(stage('make', aRun(), one)).toMatchObject({ state: 'in work', detail: '1 of 2 ends' });
    expect(answer('make', aRun(), one)).toMatch(/^1 of 2 ends to make, about \d+ minutes$/);
  });
  it('is done with both', () =>
    expect(answer('make', aRun(), [...one, fact({ kind: 'end made', endId: 'main.b' })])).toBe(
      'All 2 ends are made',
    ));
});

describe('prove', () => {
  const read = (value: number) => [fact({ kind: 'reading', pieceId: 'main', expectation: 'loop', value })];
  it('counts readings', () => {
    expect(stage('prove', aRun()).state).toBe('not started');
    expect(answer('prove', aRun())).toMatch(/^4 of 4 readings to take$/);
  });
  it('a failed reading is a problem and says which', () => {
    expect(stage('prove', aRun(), read(500))).toMatchObject({
      state: 'snags',
      detail: '1 stop',
      next: 'Main cable: loop resistance failed',
    });
    expect(answer('prove', aRun(), read(500))).toBe('1 of 1 readings fails');
  });
});

describe('route', () => {
  it('without legs it asks where the run goes', () => {
    expect(stage('route', aRun({ legs: [] })).state).toBe('not started');
    expect(answer('route', aRun({ legs: [] }))).toBe('No route yet: where does the run go?');
  });
  it('is done once the run is installed', () => {
    expect(stage('route', aRun()).state).toBe('in work');
    expect(stage('route', aRun(), [fact({ kind: 'installed' })]).state).toBe('done');
    expect(answer('route', aRun())).toMatch(/^The route asks for 12\.42 m; the run is 12\.50 m$/);
  });
});

describe('ground', () => {
  it('an outdoor run without an arrester has not begun', () =>
    expect(stage('ground', anOutdoorRun({ pieces: [cable({ lengthM: 13 })] }))).toMatchObject({
      state: 'not started',
      detail: 'no arrester',
    }));
  // Not known is not done.
  it('without legs nothing is known, and neither ground nor seal is done', () => {
    for (const id of ['ground', 'seal'] as const) {
      expect(stage(id, aRun({ legs: [] }))).toMatchObject({
        state: 'not started',
        detail: 'route not known',
      });
      expect(answer(id, aRun({ legs: [] }))).toMatch(/^No route yet/);
    }
  });
  it('a run which stays indoors has no entry to protect', () =>
    expect(stage('ground', aRun())).toMatchObject({ state: 'done', detail: 'stays indoors' }));
  it('a cabinet or mast-head start needs its arrester too', () => {
    const cabinet = aRun({ legs: [{ ...aRun().legs[0], zone: 'outdoor' }] });
    expect(stage('ground', cabinet)).toMatchObject({
      state: 'not started',
      detail: 'starts outdoors, no arrester',
    });
    expect(sheetOf(cabinet).snags.find(({ rule }) => rule === 'arrester-missing')?.level).toBe('caution');
  });
  it('is done when the arrester is grounded', () => {
    expect(stage('ground', anOutdoorRun()).state).toBe('in work');
    expect(stage('ground', anOutdoorRun(), [fact({ kind: 'grounded' })]).state).toBe('done');
  });
  it('says which tube, and which is fitted', () =>
    expect(answer('ground', anOutdoorRun())).toMatch(/^Fit a \d+ V tube; 150 V is fitted$/));
  it('a receive run needs no more than the lowest', () =>
    expect(answer('ground', anOutdoorRun({ service: { powerW: 0 } }))).toContain('lowest tube'));
});

describe('seal', () => {
  it('an indoor run has nothing to seal', () =>
    expect(answer('seal', aRun())).toBe('Every joint stays dry: nothing to seal'));
  it('counts joints and tape, and ends with the last', () => {
    const run = anOutdoorRun();
    const open = sheetOf(run).wraps;
    expect(answer('seal', run)).toMatch(/^\d+ joints? to seal, [\d.]+ m of rubber tape$/);
    const sealed = open.map(({ jointId }) => fact({ kind: 'sealed', jointId }));
    expect(stage('seal', run, sealed.slice(1)).state).toBe(open.length > 1 ? 'in work' : 'not started');
    expect(answer('seal', run, sealed)).toBe('Every exposed joint is sealed');
  });
});

describe('hand over', () => {
  it('waits for the others and says how many', () =>
    expect(stage('handover', aRun())).toMatchObject({ state: 'not started', detail: '4 stages to go' }));
  it('a stop refuses, a missing name and open stages ask', () => {
    const problem = (design: Design, by: string, reason?: string, facts: Facts = noFacts) =>
      signOffProblem(sheetOf(design, facts), { by, ...(reason === undefined ? {} : { reason }) })?.code;
    const stopped = aRun({ pieces: [cable({ a: { part: 'uhf-plug-crimp-10mm' } })] });
    expect(problem(stopped, 'Wenna', 'the customer waits')).toBe('handover.stop');
    const failed = [fact({ kind: 'reading', pieceId: 'main', expectation: 'loop', value: 500 })];
    expect(problem(aRun(), 'Wenna', 'the customer waits', failed)).toBe('handover.stop');
    expect(problem(aRun(), ' ', 'the customer waits')).toBe('handover.unsigned');
    expect(problem(aRun(), 'Wenna')).toBe('handover.open');
    expect(problem(aRun(), 'Wenna', '  ok ')).toBe('handover.open');
    expect(problem(aRun(), 'Wenna', 'sealed tomorrow, when it is dry')).toBeUndefined();
  });
  it('is done once it is signed', () =>
    expect(stage('handover', aRun(), [fact({ kind: 'handed over' })]).state).toBe('done'));
});
