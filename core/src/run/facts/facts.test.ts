import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalog } from '../../catalog/index.js';
import { fact } from '../aRun.fixture.js';
import type { EndRecord } from './endRecord.js';
import { factAbout, factsOf, isCut, isEndMade, latestReading, newest, noFacts } from './facts.js';
import { aboutOf, factKinds, factText, type FactBody } from './kinds.js';

const end: EndRecord = { part: 'n-plug-crimp-10mm', cable: 'rg213', recipe: 'crimp-bnc', work: 'new end' };
const trim = {
  cable: 'rg213',
  lot: 'Drum 7',
  lengthM: 1.248,
  frequencyHz: 39.557e6,
  far: 'open' as const,
  order: 1,
  nearS: 6e-11,
};
const day = (k: number): string => `2026-11-${String(k).padStart(2, '0')}T09:00:00.000Z`;

/** One fact of every kind, where it belongs, and what a reader of the log must find in its line. */
const examples: [FactBody, about: string, words: RegExp][] = [
  [{ kind: 'reading', pieceId: 'main', expectation: 'loop', value: 0.31 }, 'main', /loop: 0\.31 Ω/],
  [{ kind: 'reading', pieceId: 'main', expectation: 'loss@145000000', value: 1.2 }, 'main', /loss: 1\.20 dB/],
  [{ kind: 'reading', pieceId: 'main', expectation: 'insulation', value: null }, 'main', /over range/],
  [{ kind: 'run reading', what: 'swr', value: 1.4 }, 'swr', /SWR 1\.40/],
  [{ kind: 'run reading', what: 'pin to shell', value: null }, 'pin to shell', /over range/],
  [
    {
      kind: 'end made',
      endId: 'main.a',
      end: { ...end, checkedBy: 'Joss' },
      readings: { through: 0.1, short: null },
    },
    'main.a',
    /N plug.*made by the card.*through 0\.1 Ω.*short open.*checked by Joss/,
  ],
  [{ kind: 'end made', endId: 'main.a#3', end, batch: { piece: 3, of: 10 } }, 'main.a#3', /piece 3 of 10/],
  [{ kind: 'end made', endId: 'main.a', end: { ...end, work: 're-end' } }, 'main.a', /made again/],
  [
    { kind: 'end failed', endId: 'main.b', end: { ...end, cause: 'whisker', step: 'Strands' } },
    'main.b',
    /^whisker \(at Strands\)$/,
  ],
  [{ kind: 'deviation', endId: 'main.b', end: { ...end, cause: 'no grease' } }, 'main.b', /^no grease$/],
  [
    { kind: 'damaged', endId: 'main.b', end: { ...end, cause: 'crushed', lostM: 0.12 } },
    'main.b',
    /crushed: 0\.120 m of finished length cut off/,
  ],
  [{ kind: 'shrink fitted', endId: 'main.a', end: { ...end, work: 'shrink' } }, 'main.a', /adhesive shrink/],
  [{ kind: 'cut', pieceId: 'main', lengthM: 21.6, reel: 'Drum 7' }, 'main', /to 21\.600 m from Drum 7/],
  [{ kind: 'not cut', pieceId: 'main' }, 'main', /taken back/],
  [{ kind: 'trimmed', pieceId: 'stub', trim }, 'stub', /39\.557 MHz at 1\.2480 m, far end open/],
  // 25 W forward, 1 W back: |Γ| = 0.2, SWR 1.5 (ARRL Handbook, transmission lines); 25 W to 20 W is 0.97 dB.
  [
    { kind: 'power step', power: { frequencyHz: 145e6, forwardW: 25, reflectedW: 1, loadW: 20 } },
    '',
    /25 W forward, 1 W reflected at 145 MHz: SWR 1\.50, 0\.97 dB lost/,
  ],
  [{ kind: 'installed' }, '', /legs/],
  [{ kind: 'grounded' }, '', /ground rod/],
  [
    { kind: 'tube checked', pieceId: 'arrester', reason: 'poor SWR', found: 'damaged', newV: 350 },
    'arrester',
    /^poor SWR: damaged, new 350 V tube and gasket fitted$/,
  ],
  [
    { kind: 'sealed', jointId: 'main>antenna', passes: 2 },
    'main>antenna',
    /2 passes of rubber and a UV layer/,
  ],
  [
    {
      kind: 'sealed',
      jointId: 'main>antenna',
      system: 'cold shrink',
      torqueNm: 1.2,
      celsius: 4,
      unproved: 'rain came',
    },
    'main>antenna',
    /cold-shrink sleeve, 1\.2 N·m, at 4 °C, not proved before: rain came/,
  ],
  [
    { kind: 'sealed', jointId: 'in>main', closure: 'splice', used: [{ part: 'splice-45mm', amount: 1 }] },
    'in>main',
    /^resin or gel splice$/,
  ],
  [
    { kind: 'opened', jointId: 'main>antenna', found: 'water', reason: 'SWR up' },
    'main>antenna',
    /^found water, SWR up$/,
  ],
  [{ kind: 'opened', jointId: 'main>antenna' }, 'main>antenna', /^it was not sealed$/],
  [{ kind: 'handed over', problems: '1 caution' }, '', /with 1 caution/],
  [
    { kind: 'task done', task: 'mate aloft', learnedBy: 'mate', place: 'aloft', minutes: 25 },
    'mate aloft',
    /^aloft, 25 min$/,
  ],
  [{ kind: 'task begun', task: 'mate aloft' }, 'mate aloft', /^$/],
  [
    { kind: 'photo', about: 'main.a', pictureId: 'p1', sha256: 'a'.repeat(64), caption: 'boot still off' },
    'main.a',
    /^boot still off$/,
  ],
  [{ kind: 'photo withdrawn', about: 'main.a', pictureId: 'p1' }, 'main.a', /^$/],
  [
    { kind: 'sweep', pieceId: 'main', name: 'after the pull', sha256: 'a'.repeat(64) },
    'main',
    /^“after the pull”$/,
  ],
  [{ kind: 'sweep withdrawn', pieceId: '', name: 'loose', sha256: 'a'.repeat(64) }, '', /loose/],
  [{ kind: 'birth record', pieceId: 'main', name: 'first', sha256: 'a'.repeat(64) }, 'main', /first/],
  [
    { kind: 'withdrawn', of: 'f1', about: 'main', text: 'loop: 0.3 ohm', why: 'leads swapped' },
    'main',
    /^loop: 0.3 ohm: leads swapped$/,
  ],
  [{ kind: 'note', about: 'main', text: 'looked at' }, 'main', /^looked at$/],
];

describe('facts', () => {
  it('every kind has an example here', () =>
    expect(new Set(examples.map(([{ kind }]) => kind))).toEqual(new Set(factKinds)));

  it.each(examples)('%j says where it belongs and reads well', (body, about, words) => {
    expect(aboutOf(body)).toBe(about);
    expect(factText(fact(body), catalog)).toMatch(words);
  });

  it('one of an earlier version reads as that version worded it', () =>
    expect(factText({ ...fact({ kind: 'installed' }), wording: 'pulled through the duct' }, catalog)).toBe(
      'pulled through the duct',
    ));

  it('a part which nobody has any more is named by its id', () =>
    expect(
      factText(fact({ kind: 'end made', endId: 'main.a', end: { ...end, part: 'old-part' } }), catalog),
    ).toContain('old-part'));
});

describe('what follows from facts', () => {
  const made = (at: number) => fact({ kind: 'end made', endId: 'main.a' }, day(at));
  const failed = (at: number) => fact({ kind: 'end failed', endId: 'main.a' }, day(at));

  it('the newest decides, in whatever order they stand', () => {
    const all = [made(1), failed(2), made(3)];
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: 3 }), (some) => {
        expect(newest(some)?.at).toBe(day(3));
        expect(isEndMade(some, 'main.a')).toBe(true);
      }),
    );
    expect(isEndMade([made(1), failed(2)], 'main.a')).toBe(false);
    expect(isEndMade(noFacts, 'main.a')).toBe(false);
  });

  it('an end of a batch’s spare is not the run’s own', () =>
    expect(isEndMade([fact({ kind: 'end made', endId: 'main.a#2' })], 'main.a')).toBe(false));

  it('a deviation does not unmake an end', () =>
    expect(isEndMade([made(1), fact({ kind: 'deviation', endId: 'main.a' }, day(2))], 'main.a')).toBe(true));

  it('a piece is cut when it was booked, or when both its ends are made; a booking taken back is none', () => {
    const cut = fact({ kind: 'cut', pieceId: 'main' }, day(1));
    expect(isCut([cut], 'main')).toBe(true);
    expect(isCut([cut, fact({ kind: 'not cut', pieceId: 'main' }, day(2))], 'main')).toBe(false);
    expect(isCut([made(1)], 'main')).toBe(false);
    expect(isCut([made(1), fact({ kind: 'end made', endId: 'main.b' }, day(1))], 'main')).toBe(true);
    expect(isCut([cut], 'other')).toBe(false);
  });

  it('the latest reading is of its own piece and expectation', () => {
    const reading = (value: number, at: number, expectation = 'loop', pieceId = 'main') =>
      fact({ kind: 'reading', pieceId, expectation, value }, day(at));
    const all = [
      reading(0.5, 2),
      reading(0.3, 3),
      reading(9, 4, 'insulation'),
      reading(8, 5, 'loop', 'other'),
    ];
    expect(latestReading(all, 'main', 'loop')?.value).toBe(0.3);
    expect(latestReading(all, 'main', 'loss@1')).toBeUndefined();
  });

  it('a fact about the run is found without a place, one about a joint only with its own', () => {
    const all = [fact({ kind: 'installed' }), fact({ kind: 'sealed', jointId: 'main>antenna' })];
    expect(factAbout(all, 'installed')).toBeDefined();
    expect(factAbout(all, 'sealed', 'main>antenna')).toBeDefined();
    expect(factAbout(all, 'sealed', 'radio>main')).toBeUndefined();
    expect(factsOf(all, 'sealed')).toHaveLength(1);
  });
});
