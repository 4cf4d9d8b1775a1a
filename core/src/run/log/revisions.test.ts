import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { arrester, aRun, cable, fact, leg } from '../aRun.fixture.js';
import type { Design } from '../design/design.js';
import { designChanges, documentHash, revisionsOf, signedState } from './index.js';

const day = (k: number): string => `2026-11-0${k}T09:00:00.000Z`;
const signed = (design: Design, k: number, by = 'Wenna') => ({
  ...fact({ kind: 'handed over', design: documentHash(design) }, day(k)),
  by,
});
const run = aRun();
const later = aRun({ name: 'A run, changed' });

describe('revisions', () => {
  it('one for each design that was signed, whatever order the facts stand in', () => {
    const facts = [signed(later, 3), signed(run, 1), signed(run, 2, 'Joss')];
    expect(revisionsOf(facts).map(({ number, signed: by }) => [number, by.length])).toEqual([
      [1, 2],
      [2, 1],
    ]);
  });

  it('a later change is told from what was signed, and a change taken back is none', () => {
    expect(signedState(later, [signed(run, 1)], {})).toMatchObject({
      changed: true,
      missing: 1,
      signers: [],
    });
    expect(signedState(run, [signed(run, 1)], {})).toMatchObject({ changed: false, missing: 0 });
  });

  // Handbook 10: two signatures when the shop wants them.
  it('two signatures are two people', () => {
    const twice = [signed(run, 1), signed(run, 2)];
    expect(signedState(run, twice, { signatures: 2 }).missing).toBe(1);
    expect(signedState(run, [...twice, signed(run, 3, 'Joss')], { signatures: 2 }).missing).toBe(0);
  });

  it('one signed before designs were kept stays signed', () => {
    expect(signedState(run, [fact({ kind: 'handed over' })], { signatures: 2 })).toMatchObject({
      changed: false,
      missing: 0,
    });
  });
});

describe('two designs compared', () => {
  const changes = (before: Design, after: Design): string[] =>
    designChanges(before, after, catalog, 'metric').map(({ text }) => text);

  it('says nothing of the same, in whatever order its members stand', () => {
    const turned: unknown = JSON.parse(JSON.stringify(run), (_, value: unknown) =>
      value && typeof value === 'object' && !Array.isArray(value)
        ? Object.fromEntries(Object.entries(value).toReversed())
        : value,
    );
    expect(changes(run, turned as Design)).toEqual([]);
    expect(documentHash(turned as Design)).toBe(documentHash(run));
  });

  it.each<[string, Design, string[]]>([
    ['a length', aRun({ pieces: [cable({ lengthM: 13 })] }), ['Main cable: length 13.000 m, was 12.500 m']],
    [
      'a connector',
      aRun({ pieces: [cable({ b: { part: 'uhf-plug-crimp-10mm' } })] }),
      [
        `Main cable: antenna end connector ${catalog.parts.get('uhf-plug-crimp-10mm')?.name}, was ${catalog.parts.get('n-plug-crimp-10mm')?.name}`,
      ],
    ],
    ['the power', aRun({ service: { powerW: 50 } }), ['Service: power 50 W, was 25 W']],
    [
      'a band',
      aRun({ service: { bands: [{ name: 'band', lowHz: 144e6, highHz: 148e6 }] } }),
      ['Service: band 1 highest frequency 148 MHz, was 146 MHz'],
    ],
    ['a port', aRun({ antenna: { ...run.antenna, swr: 2 } }), ['Antenna port: SWR 2, was 1.3']],
    [
      'a piece put in',
      aRun({ pieces: [cable(), arrester()] }),
      [`${catalog.arresters.get('gas-n')?.name} put in`],
    ],
  ])('%s', (_, after, words) => expect(changes(run, after)).toEqual(words));

  it('a piece taken out, an order, a stretch of the route', () => {
    const two = aRun({ pieces: [cable(), arrester()], legs: [leg()] });
    expect(changes(two, aRun({ legs: [] }))).toEqual([
      `${catalog.arresters.get('gas-n')?.name} taken out`,
      'Route: the leg taken out',
    ]);
    expect(changes(two, { ...two, pieces: two.pieces.toReversed() })).toEqual([
      'The pieces stand in another order',
    ]);
    expect(changes(two, { ...two, legs: [leg({ slackM: 1 })] })).toEqual([
      'Route, the leg: slack 1.000 m, was 0 m',
    ]);
  });

  it('leaves no change of any member out', () => {
    const full = aRun({ pieces: [cable({ lot: 'Drum 7', count: 2 }), arrester()], legs: [leg()] });
    /** Every member of a document, each changed by itself. */
    function* spoilt(value: unknown): Generator<unknown> {
      if (typeof value === 'number') yield value + 1;
      else if (typeof value === 'string') yield `${value}x`;
      else if (typeof value === 'boolean') yield !value;
      else if (Array.isArray(value))
        for (const [k, one] of value.entries()) for (const other of spoilt(one)) yield value.with(k, other);
      else if (typeof value === 'object' && value !== null)
        for (const [key, one] of Object.entries(value).filter(
          ([name]) => !['kind', 'arrester'].includes(name),
        ))
          for (const other of spoilt(one)) yield { ...value, [key]: other };
    }
    const all = [...spoilt(full)] as Design[];
    expect(all.length).toBeGreaterThan(30);
    for (const other of all) expect(changes(full, other).length).toBeGreaterThan(0);
  });
});
