import { describe, expect, it } from 'vitest';
import { aRun, fact, sheetOf } from '../aRun.fixture.js';
import type { Facts } from '../facts/kinds.js';
import { causesOf, rankCauses } from '../../prove/index.js';
import { driftFinding, powerFinding, readingFindings } from './readingFindings.js';

const found = (facts: Facts) => readingFindings(sheetOf(aRun(), facts).proofs);
const read = (expectation: string, value: number | null) =>
  fact({ kind: 'reading', pieceId: 'main', expectation, value });

// Handbook, chapter 5: what a meter says of a cable. Limits: common practice, no source.
describe('what readings say to the causes', () => {
  it.each([
    [null, 'open'],
    [250e6, 'open'],
    [3e6, 'leaky'],
    [12, 'short'],
  ])('insulation of %s ohm is %s', (ohm, says) =>
    expect(found([read('insulation', ohm)])).toEqual({ insulation: says }),
  );
  it.each([
    [0.3, 'through'],
    [null, 'open'],
    [4.7e3, 'open'],
  ])('a loop of %s ohm is %s', (ohm, says) =>
    expect(found([read('loop', ohm)])).toEqual({ continuity: says }),
  );
  it('nothing read says nothing', () => expect(found([])).toEqual({}));
});

// Handbook of the trade: water's loss rises with frequency, after rain; a bad contact's is alike everywhere.
describe('what loss and power say of the causes', () => {
  const frequencyHz = Float64Array.from({ length: 61 }, (_, k) => 100e6 + k * 5e6);
  const loss = (added: (hz: number) => number) => ({
    frequencyHz,
    lossDb: frequencyHz.map((hz) => 1 + hz / 4e8 + added(hz)),
  });
  const born = loss(() => 0);

  it('rising with frequency after rain is water, and is not ranked crushed, whatever the echo', () => {
    const found = driftFinding(
      born,
      loss((hz) => (hz / 4e8) ** 2),
      true,
    );
    expect(found).toEqual({ drift: 'more, rising with frequency', rain: 'worse after rain' });
    for (const echo of ['in a cable', 'spread out', 'none'] as const) {
      const [first] = rankCauses({ ...found, match: 'worse', echo });
      expect(first.cause.id, echo).toBe('water');
    }
  });

  it('alike everywhere is no water, and nothing is nothing', () => {
    expect(
      driftFinding(
        born,
        loss(() => 0.9),
        false,
      ),
    ).toEqual({ drift: 'more, alike everywhere' });
    expect(
      driftFinding(
        born,
        loss(() => 0.02),
        true,
      ),
    ).toEqual({ drift: 'none' });
  });

  it('power lost between the meters speaks, and only against the computed loss', () => {
    const step = { frequencyHz: 145e6, forwardW: 10, reflectedW: 0.1, loadW: 5 };
    expect(powerFinding([step], 10, { lossDb: 0.7, toleranceDb: 0.1 })).toEqual({ power: 'more lost' });
    expect(powerFinding([step], 10, { lossDb: 3, toleranceDb: 0.3 })).toEqual({ power: 'as computed' });
    expect(powerFinding([], 10, { lossDb: 3, toleranceDb: 0.3 })).toEqual({});
  });

  it('a bare assembly accuses neither antenna nor arrester', () => {
    const ids = causesOf({ antenna: false, arrester: false, weather: true }).map(({ id }) => id);
    expect(ids).not.toContain('antenna');
    expect(ids).not.toContain('failed tube');
    expect(causesOf({ antenna: true, arrester: true, weather: true })).toHaveLength(ids.length + 2);
  });

  // Trade: a lead of a metre on the bench has bad contacts, not water; and nobody is ever certain.
  it('a lab lead that loses more has a bad contact before it has water, and nothing is certain', () => {
    const ranked = (weather: boolean) =>
      rankCauses(
        { loss: 'more, alike everywhere', wiggle: 'jumps' },
        causesOf({ antenna: false, arrester: false, weather }),
      );
    const share = (weather: boolean, id: string) =>
      ranked(weather).find(({ cause }) => cause.id === id)?.probability ?? 0;
    expect(share(false, 'dirty contact')).toBeGreaterThan(10 * share(false, 'water'));
    expect(share(false, 'water')).toBeLessThan(share(true, 'water') / 5);
    const all = {
      continuity: 'through',
      insulation: 'leaky',
      loss: 'more, rising with frequency',
      rain: 'worse after rain',
      echo: 'spread out',
      drift: 'more, rising with frequency',
    } as const;
    const [first] = rankCauses(all, causesOf({ antenna: true, arrester: true, weather: true }));
    expect(first.cause.id).toBe('water');
    expect(first.probability).toBeGreaterThan(0.9);
    expect(first.probability).toBeLessThan(0.98);
  });
});
