import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { threeWay } from './threeWay.js';

/** A document like a design, small enough to be seen through. */
interface Piece {
  id: string;
  kind: string;
  label: string;
  lengthM: number;
  lot?: string;
}
interface Doc {
  name: string;
  service: { powerW: number; duty: number };
  pieces: Piece[];
  seals?: { joint: string; system: string }[];
}
const piece = (id: string, over: Partial<Piece> = {}): Piece => ({
  id,
  kind: 'assembly',
  label: `Cable ${id}`,
  lengthM: 1,
  ...over,
});
const base: Doc = {
  name: 'A run',
  service: { powerW: 25, duty: 0.5 },
  pieces: ['a', 'b', 'c', 'd'].map((id) => piece(id)),
};
const edited = (change: (doc: Doc) => void): Doc => {
  const doc = structuredClone(base);
  change(doc);
  return doc;
};
const at = (doc: Doc, id: string): number => doc.pieces.findIndex((one) => one.id === id);
const order = (doc: Doc, names: string): void => {
  doc.pieces = [...names].map((id) => doc.pieces[at(doc, id)] ?? piece(id));
};

describe('what two made of one document', () => {
  it.each<[string, (doc: Doc) => void, (doc: Doc) => void, (doc: Doc) => void]>([
    [
      'two members of one object',
      (doc) => (doc.service.powerW = 50),
      (doc) => (doc.service.duty = 1),
      (doc) => (doc.service = { powerW: 50, duty: 1 }),
    ],
    [
      'two members of one piece, and a third of another',
      (doc) => (doc.pieces[1].lengthM = 2),
      (doc) => {
        doc.pieces[1].lot = '7';
        doc.pieces[3].lengthM = 9;
      },
      (doc) => {
        doc.pieces[1] = piece('b', { lengthM: 2, lot: '7' });
        doc.pieces[3].lengthM = 9;
      },
    ],
    [
      'one taken out, and one behind it changed',
      (doc) => doc.pieces.splice(1, 1),
      (doc) => (doc.pieces[2].lengthM = 5),
      (doc) => {
        doc.pieces[2].lengthM = 5;
        doc.pieces.splice(1, 1);
      },
    ],
    [
      'one put in, behind what was moved elsewhere: it goes along',
      (doc) => order(doc, 'bcda'),
      (doc) => order(doc, 'axbcd'),
      (doc) => order(doc, 'bcdax'),
    ],
    [
      'both put something in at one place: both are there',
      (doc) => order(doc, 'abxcd'),
      (doc) => order(doc, 'abycd'),
      (doc) => order(doc, 'abxycd'),
    ],
    [
      'a list which neither had before',
      (doc) => (doc.seals = [{ joint: 'a>b', system: 'x' }]),
      (doc) => (doc.seals = [{ joint: 'b>c', system: 'y' }]),
      (doc) =>
        (doc.seals = [
          { joint: 'a>b', system: 'x' },
          { joint: 'b>c', system: 'y' },
        ]),
    ],
    [
      'the same by both',
      (doc) => (doc.name = 'New'),
      (doc) => (doc.name = 'New'),
      (doc) => (doc.name = 'New'),
    ],
  ])('%s', (_, mine, theirs, both) => {
    const { mine: found, clashes } = threeWay(base, edited(mine), edited(theirs));
    expect(clashes).toEqual([]);
    expect(found).toEqual(edited(both));
  });

  it.each<[string, (doc: Doc) => void, (doc: Doc) => void, string[]]>([
    ['one member to two values', (doc) => (doc.name = 'One'), (doc) => (doc.name = 'Two'), ['name']],
    [
      'changed here, taken out there',
      (doc) => (doc.pieces[1].lengthM = 2),
      (doc) => doc.pieces.splice(1, 1),
      ['pieces', 'Cable b'],
    ],
    [
      'made another kind of thing',
      (doc) => (doc.pieces[1] = piece('b', { kind: 'adapter' })),
      (doc) => (doc.pieces[1].lot = '7'),
      ['pieces', 'Cable b'],
    ],
    ['laid in two orders', (doc) => order(doc, 'bacd'), (doc) => order(doc, 'abdc'), ['pieces', 'order']],
  ])('%s is for a person, and both are kept', (_, mine, theirs, path) => {
    const [ours, others] = [edited(mine), edited(theirs)];
    // Something beside it which is no clash stands either way.
    ours.service.powerW = 5;
    others.service.duty = 0.1;
    const found = threeWay(base, ours, others);
    expect(found.clashes.map((clash) => clash.path)).toEqual([path]);
    const beside = { powerW: 5, duty: 0.1 };
    expect(found.mine).toEqual({ ...ours, service: beside });
    expect(found.theirs).toEqual({ ...others, service: beside });
  });
});

/** What one person does to what is theirs alone: changes, takes out, puts in, and, where only one does, lays in another order. */
interface Work {
  changed: { piece: number; lengthM: number }[];
  out: number[];
  into: number[];
  powerW: number | undefined;
}
const PIECES = 8;
const work = (own: readonly number[]): fc.Arbitrary<Work> =>
  fc.record({
    changed: fc.uniqueArray(
      fc.record({ piece: fc.constantFrom(...own), lengthM: fc.integer({ min: 2, max: 99 }) }),
      { maxLength: 3, selector: ({ piece: of }) => of },
    ),
    out: fc.uniqueArray(fc.constantFrom(...own), { maxLength: 2 }),
    into: fc.array(fc.nat(PIECES), { maxLength: 3 }),
    powerW: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
  });

function done(doc: Doc, { changed, out, into, powerW }: Work, by: string, member: 'powerW' | 'duty'): Doc {
  const after = structuredClone(doc);
  for (const { piece: of, lengthM } of changed) after.pieces[of].lengthM = lengthM;
  for (const [k, before] of into.entries()) after.pieces.splice(before, 0, piece(`${by}${k}`));
  after.pieces = after.pieces.filter(({ id }) => !out.some((of) => id === `p${of}`));
  if (powerW !== undefined) after.service[member] = powerW;
  return after;
}

// Laws: what is apart never clashes, nothing that was done is lost, and who comes first does not matter.
describe('laws of putting together', () => {
  const doc: Doc = { ...base, pieces: Array.from({ length: PIECES }, (_, k) => piece(`p${k}`)) };
  const two = fc.tuple(work([0, 2, 4, 6]), work([1, 3, 5, 7]), fc.option(fc.integer(), { nil: undefined }));

  it('apart never clashes, and nothing that was done is lost', () => {
    fc.assert(
      fc.property(two, ([one, two, seed]) => {
        const mine = done(doc, one, 'm', 'powerW');
        // At most one of them lays in another order.
        if (seed !== undefined) mine.pieces.sort((x, y) => hash(x.id, seed) - hash(y.id, seed));
        const theirs = done(doc, two, 't', 'duty');
        const { mine: both, clashes } = threeWay(doc, mine, theirs);
        expect(clashes).toEqual([]);
        const kept = new Map(both.pieces.map((element) => [element.id, element]));
        expect(kept.size).toBe(both.pieces.length);
        for (const [work, by, member] of [
          [one, 'm', 'powerW'],
          [two, 't', 'duty'],
        ] as const) {
          for (const of of work.out) expect(kept.has(`p${of}`)).toBe(false);
          for (const k of work.into.keys()) expect(kept.has(`${by}${k}`)).toBe(true);
          for (const { piece: of, lengthM } of work.changed)
            if (!work.out.includes(of)) expect(kept.get(`p${of}`)?.lengthM).toBe(lengthM);
          if (work.powerW !== undefined) expect(both.service[member]).toBe(work.powerW);
        }
      }),
    );
  });

  it('who comes first does not matter', () => {
    fc.assert(
      fc.property(two, ([one, two]) => {
        const [mine, theirs] = [done(doc, one, 'm', 'powerW'), done(doc, two, 't', 'duty')];
        expect(threeWay(doc, mine, theirs).mine).toEqual(threeWay(doc, theirs, mine).mine);
      }),
    );
  });

  it('whoever did nothing changes nothing, and whoever did the same neither', () => {
    fc.assert(
      fc.property(work([0, 1, 2, 3]), (one) => {
        const mine = done(doc, one, 'm', 'powerW');
        for (const [x, y] of [
          [mine, doc],
          [doc, mine],
          [mine, structuredClone(mine)],
        ])
          expect(threeWay(doc, x, y)).toEqual({ mine, theirs: mine, clashes: [] });
      }),
    );
  });

  it('either way out of a clash has one of both values, and only there', () => {
    fc.assert(
      fc.property(fc.tuple(work([0, 1, 2]), work([0, 1, 2])), ([one, two]) => {
        const [mine, theirs] = [done(doc, one, 'm', 'powerW'), done(doc, two, 't', 'powerW')];
        const found = threeWay(doc, mine, theirs);
        const turned = threeWay(doc, theirs, mine);
        expect(turned.clashes.map(({ path }) => path.join('/')).toSorted()).toEqual(
          found.clashes.map(({ path }) => path.join('/')).toSorted(),
        );
        if (found.clashes.length === 0) expect(found.mine).toEqual(found.theirs);
        else expect(found.mine).not.toEqual(found.theirs);
        // Theirs of one is mine of the other.
        expect(sorted(turned.mine)).toEqual(sorted(found.theirs));
      }),
    );
  });
});

/** Any order, the same for the same seed. */
const hash = (id: string, seed: number): number =>
  [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0) + seed) % 9973, seed % 97);
const sorted = (doc: Doc): Doc => ({ ...doc, pieces: doc.pieces.toSorted((x, y) => (x.id < y.id ? -1 : 1)) });
