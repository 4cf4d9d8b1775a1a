import { describe, expect, it } from 'vitest';
import { anOutdoorRun, aRun, cable, fact, sheetOf } from './aRun.fixture.js';
import { noFacts } from './facts/facts.js';
import type { Fact, Facts } from './facts/kinds.js';

const reading = (pieceId: string, expectation: string, value: number | null, at?: string): Fact =>
  fact({ kind: 'reading', pieceId, expectation, value }, at);

describe('the sheet of a run', () => {
  it('answers in a sentence', () => {
    const { headline, reason } = sheetOf(aRun());
    expect(headline).toMatch(/^\d+(\.\d+)? W of 25 W reaches the antenna at 146 MHz$/);
    expect(reason).toContain('budget 3.00 dB');
  });

  it('headline, loss and ruler tell one story', () => {
    const sheet = sheetOf(aRun());
    const { loss, reaching, forward } = sheet.figures;
    expect(reaching.value).toBeCloseTo(forward.value * 10 ** (-loss.value / 10), 6);
    expect(sheet.ruler.netW.at(-1)).toBeCloseTo(reaching.value, 6);
    expect(loss.value).toBeGreaterThan(sheet.figures.matchedLoss.value);
  });

  it('joints stand between their pieces on the ruler, radio first', () => {
    const { joints, pieces, totalM } = sheetOf(anOutdoorRun());
    expect(joints.map(({ id }) => id)).toEqual(['radio>in', 'in>arrester', 'arrester>main', 'main>antenna']);
    expect(joints[0].atM).toBe(0);
    expect(joints.at(-1)?.atM).toBeCloseTo(totalM, 12);
    pieces.forEach(({ fromM, toM }, k) => {
      expect(joints[k].atM).toBeCloseTo(fromM, 12);
      expect(joints[k + 1].atM).toBeCloseTo(toM, 12);
    });
    expect(joints.map(({ zone }) => zone)).toEqual(['dry', 'dry', 'outdoor', 'outdoor']);
  });

  it('a run of no pieces is the two ports meeting', () => {
    const meeting = sheetOf(
      aRun({ pieces: [], antenna: { name: 'Whip', face: 'n-plug', swr: 1.5, dcShort: false }, legs: [] }),
    );
    expect(meeting).toMatchObject({ passes: true, totalM: 0 });
    expect(sheetOf(aRun({ pieces: [], legs: [] })).headline).toContain('J1 passes no signal');
  });

  it('a receive run speaks of signal, not of watts', () =>
    expect(sheetOf(aRun({ service: { powerW: 0 } })).headline).toMatch(/% of the signal/));

  it('is pure: the same in, the same out, and the design untouched', () => {
    const design = anOutdoorRun();
    const before = JSON.stringify(design);
    expect(sheetOf(design)).toEqual(sheetOf(design));
    expect(JSON.stringify(design)).toBe(before);
  });

  it('every figure has a source, and every snag a remedy', () => {
    const sheet = sheetOf(anOutdoorRun({ service: { lossBudgetDb: 0.2 } }));
    for (const { source } of Object.values(sheet.figures)) expect(source).not.toBe('');
    for (const snag of sheet.snags) expect(snag.remedies.length, snag.id).toBeGreaterThan(0);
  });
});

describe('stages follow from facts', () => {
  const states = (facts: Facts = noFacts) =>
    Object.fromEntries(sheetOf(anOutdoorRun(), facts).stages.map(({ id, state }) => [id, state]));

  it('before anything is done', () => {
    expect(states()).toEqual({
      plan: 'done',
      make: 'not started',
      cut: 'not started',
      prove: 'not started',
      route: 'in work',
      ground: 'in work',
      seal: 'not started',
      handover: 'not started',
    });
  });

  it('one end made is work in progress; both ends of a piece mean it is cut', () => {
    expect(states([fact({ kind: 'end made', endId: 'in.a' })])).toMatchObject({
      make: 'in work',
      cut: 'not started',
    });
    expect(
      states([fact({ kind: 'end made', endId: 'in.a' }), fact({ kind: 'end made', endId: 'in.b' })]),
    ).toMatchObject({
      make: 'in work',
      cut: 'in work',
    });
  });

  it('a failed reading is a snag of the proof; a better one later clears it', () => {
    const bad = reading('in', 'loop', 40);
    expect(states([bad])).toMatchObject({ prove: 'snags' });
    expect(states([bad, reading('in', 'loop', 0.02, '2026-11-04T09:00:00Z')])).toMatchObject({
      prove: 'in work',
    });
  });

  it('done, joint by joint, to the hand-over', () => {
    const sheet = sheetOf(anOutdoorRun());
    const done: Fact[] = [
      ...sheet.ends.map(({ id }) => fact({ kind: 'end made', endId: id })),
      ...sheet.wraps.map(({ jointId }) => fact({ kind: 'sealed', jointId })),
      fact({ kind: 'installed' }),
      fact({ kind: 'grounded' }),
    ];
    const readings = sheet.proofs.flatMap(({ pieceId, expectations }) =>
      expectations.map(({ id, expected }) =>
        reading(pieceId, id, expected.value === Infinity ? null : expected.value),
      ),
    );
    expect(states([...readings, ...done])).toMatchObject({
      make: 'done',
      cut: 'done',
      prove: 'done',
      route: 'done',
      ground: 'done',
      seal: 'done',
      handover: 'in work',
    });
    expect(states([...readings, ...done, fact({ kind: 'handed over' })]).handover).toBe('done');
  });

  it('the next action is the first thing that stops the work', () => {
    const stopped = sheetOf(aRun({ pieces: [cable({ a: { part: 'uhf-plug-crimp-10mm' } })] }));
    expect(stopped.next).toMatchObject({ stage: 'plan' });
    expect(sheetOf(aRun()).next.text).toBe('Cut Main cable');
  });
});
