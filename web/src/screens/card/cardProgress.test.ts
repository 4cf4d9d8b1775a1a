import { cardFor, catalog, entry, type Card } from '@kobran/core';
import { describe, expect, it } from 'vitest';
import {
  back,
  freshProgress,
  press,
  readCardProgress,
  stepOf,
  unconfirmed,
  withDeviation,
  withReading,
  type CardProgress,
} from './cardProgress.js';

const found = cardFor(entry(catalog.parts, 'n-plug-crimp-10mm'), entry(catalog.cables, 'rg213'), 'metric');
if (!found) throw new Error('no card for a crimped N plug');
const card: Card = found;
const setting = { card, lengthM: 5, meter: undefined, maker: 'Wenna' };

/** Presses the one key, reads well where a reading is asked for, until the card is at its end. */
function workThrough(): CardProgress[] {
  const places: CardProgress[] = [freshProgress];
  for (let guard = 0; guard < 200; guard++) {
    const now = places[places.length - 1];
    const { step } = stepOf(card, now);
    const pressed = press(setting, now);
    if (pressed.kind === 'finished') return places;
    if (pressed.kind === 'moved') places.push(pressed.progress);
    else if (step.reading)
      places.push(
        withReading(step, now, step.reading === 'loop' || step.reading === 'continuity' ? 0.05 : Infinity),
      );
    else throw new Error(pressed.why);
  }
  throw new Error('the card never ends');
}

describe('working through a card', () => {
  it('the one key leads through every step in order to the end', () => {
    const steps = workThrough().map((progress) => stepOf(card, progress).index);
    expect(steps.toSorted((x, y) => x - y)).toEqual(steps);
    expect(new Set(steps).size).toBe(card.steps.length);
  });

  it('a step with parts goes on only when each is confirmed, in the order of the cable', () => {
    const at = card.steps.findIndex(({ confirm }) => confirm);
    const { step } = stepOf(card, { ...freshProgress, step: at });
    const parts = step.places ?? [];
    let now: CardProgress = { ...freshProgress, step: at };
    for (const part of parts) {
      expect(unconfirmed(step, now)?.id).toBe(part.id);
      const pressed = press(setting, now);
      if (pressed.kind !== 'moved') throw new Error('held back');
      now = pressed.progress;
      expect(stepOf(card, now).index).toBe(at);
    }
    expect(press(setting, now)).toMatchObject({ kind: 'moved', progress: { step: at + 1 } });
  });

  it('a reading which fails holds back, a good one lets go on', () => {
    const at = card.steps.findIndex(({ reading }) => reading === 'short check');
    const now = { ...freshProgress, step: at };
    expect(press(setting, now).kind).toBe('blocked');
    const { step } = stepOf(card, now);
    expect(press(setting, withReading(step, now, 0.2)).kind).toBe('blocked');
    expect(press(setting, withReading(step, now, Infinity)).kind).toBe('moved');
  });

  it('nobody signs without a name', () => {
    const last = { ...freshProgress, step: card.steps.length - 1 };
    expect(press({ ...setting, maker: '' }, last)).toMatchObject({ kind: 'blocked' });
    expect(press(setting, last)).toEqual({ kind: 'finished' });
  });

  it('back leads one step back and never before the first', () => {
    expect(back(card, { ...freshProgress, step: 4 }).step).toBe(3);
    expect(back(card, freshProgress).step).toBe(0);
  });

  it('a deviation says at which step', () => {
    const { deviations } = withDeviation(card.steps[2], freshProgress, 'taped instead');
    expect(deviations).toEqual([`taped instead (at ${card.steps[2].name})`]);
  });

  it('a place kept from a longer card is at its last step', () => {
    expect(stepOf(card, { ...freshProgress, step: 999 })).toMatchObject({ last: true });
  });
});

describe('what was kept of a card', () => {
  it('comes back as it was, over range included', () => {
    const kept: CardProgress = {
      step: 3,
      confirmed: ['nut'],
      readings: { through: null, loop: 0.2 },
      deviations: ['x'],
      checkedBy: 'Joss',
    };
    expect(readCardProgress(JSON.parse(JSON.stringify(kept)))).toEqual(kept);
  });

  it.each([
    [{ step: -1, confirmed: 'nut', readings: [1], deviations: null, checkedBy: 7 }],
    [{ step: 1.5, readings: { loop: '0.2' }, confirmed: [{}] }],
    [{}],
  ])('spoilt members are as at the beginning: %j', (spoilt) =>
    expect(readCardProgress(spoilt)).toMatchObject({
      ...freshProgress,
      readings: expect.anything() as object,
    }),
  );

  it('what is no card is none', () => {
    for (const junk of ['half a te', null, 7, undefined]) expect(readCardProgress(junk)).toBeUndefined();
  });
});
