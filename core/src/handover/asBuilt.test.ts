import { describe, expect, it } from 'vitest';
import { catalog } from '../catalog/index.js';
import { defaultPractice, type Practice } from '../practice/index.js';
import { anOutdoorRun, fact, sheetOf } from '../run/aRun.fixture.js';
import { bytesHash, chained, documentHash, EMPTY_LOG, photosOf, type Facts } from '../run/index.js';
import { asBuiltRun, inspectionsOf, type Block, type BuiltRun } from './index.js';

const design = anOutdoorRun();
const built = (
  facts: Facts,
  practice: Practice = defaultPractice,
  pictures: BuiltRun['pictures'] = new Map(),
): BuiltRun => ({
  design,
  facts,
  sheet: sheetOf(design, facts, practice),
  practice,
  catalog,
  log: { head: chained(facts).at(-1) ?? EMPTY_LOG, entries: facts.length },
  birth: undefined,
  height: undefined,
  pictures,
});
const options = {
  units: 'metric',
  forCustomer: false,
  day: (at: string) => at.slice(0, 10),
  now: '2026-11-27T08:00:00Z',
} as const;
const textOf = (blocks: readonly Block[]): string =>
  blocks
    .flatMap((block) => (block.kind === 'table' ? block.rows.flat() : 'text' in block ? [block.text] : []))
    .join('\n');
const sealed = fact({ kind: 'sealed', jointId: 'main>antenna', torqueNm: 0.9, celsius: 6 });
const note = fact({ kind: 'note', about: '', text: 'Joss held the rope; Jossan’s idea' });

// Contents by the handbook of the trade, 10.
describe('the as-built of a run', () => {
  it('says who sealed it, how tight, how cold, and when it is looked at again', () => {
    const text = textOf(asBuiltRun(built([sealed]), options));
    expect(text).toMatch(/2026-11-03, Wenna, 6 °C, 0\.90 N·m/);
    // Outdoors after 24 months.
    expect(text).toContain('2028-11-03');
  });

  it('asks for as many signatures as the shop wants, and prints those there are with their reason', () => {
    const signed = fact({ kind: 'handed over', design: documentHash(design), reason: 'the customer waits' });
    const lines = (facts: Facts, practice: Practice): number =>
      asBuiltRun(built(facts, practice), options).filter(
        (block) => block.kind === 'text' && block.text.startsWith('Name ___'),
      ).length;
    expect(lines([], defaultPractice)).toBe(1);
    expect(lines([], { ...defaultPractice, signatures: 2 })).toBe(2);
    expect(lines([signed], { ...defaultPractice, signatures: 2 })).toBe(1);
    expect(textOf(asBuiltRun(built([signed]), options))).toMatch(/Wenna, 2026-11-03; .*the customer waits/);
  });

  it('a customer’s copy names nobody of the crew, and spoils no other word', () => {
    const practice = { ...defaultPractice, crew: ['Joss', 'Wenna', 'A.(B)'] };
    const text = textOf(asBuiltRun(built([sealed, note], practice), { ...options, forCustomer: true }));
    expect(text).not.toMatch(/Wenna|Joss\b/);
    expect(text).toContain('the crew held the rope; Jossan’s idea');
  });

  it('a birth record with a perfect match in it is drawn within its frame', () => {
    const birth = {
      name: 'first',
      at: '',
      frequencyHz: [1e6, 2e6, 3e6],
      returnLossDb: [20, Infinity, 14],
      echo: undefined,
    };
    const drawings = asBuiltRun({ ...built([]), birth }, options).filter((block) => block.kind === 'drawing');
    expect(drawings).toHaveLength(2);
    for (const { shapes, heightMm, says } of drawings) {
      expect(says).not.toMatch(/NaN|Infinity/);
      for (const shape of shapes)
        expect(shape.y >= 0 && shape.y <= heightMm, JSON.stringify(shape)).toBe(true);
    }
    expect(drawings[1].says).toContain('at worst 14.0 dB');
  });

  it('every table has as many cells in each row as it has columns, and fits between the margins', () => {
    for (const block of asBuiltRun(built([sealed, note]), options)) {
      if (block.kind !== 'table') continue;
      expect(block.widths.reduce((sum, one) => sum + one, 0)).toBe(180);
      for (const row of [block.head, ...block.rows]) expect(row).toHaveLength(block.widths.length);
    }
  });
});

describe('inspections', () => {
  it('of what is sealed, the first due first, under a name which stays', () => {
    const earlier = fact({ kind: 'sealed', jointId: 'arrester>main' }, '2026-10-01T09:00:00Z');
    const runs = [{ id: 'r', name: 'A run', sheet: sheetOf(design, [sealed, earlier]) }];
    const due = inspectionsOf(runs, options.now);
    expect(due.length).toBeGreaterThan(0);
    // Due on the day itself is not overdue yet.
    const [first] = due;
    const overdueAt = (now: string) => inspectionsOf(runs, now).find(({ id }) => id === first.id)?.overdue;
    expect([overdueAt(first.due), overdueAt('2099-01-01T00:00:00Z')]).toEqual([false, true]);
    expect(due.map((one) => one.due)).toEqual(due.map((one) => one.due).toSorted());
    expect(due.map(({ id }) => id)).toEqual(inspectionsOf(runs, options.now).map(({ id }) => id));
    expect(inspectionsOf([{ id: 'r', name: 'A run', sheet: sheetOf(design) }], options.now)).toEqual([]);
  });
});

describe('photos', () => {
  const bytes = new TextEncoder().encode('abc');
  // FIPS 180-4, appendix: SHA-256 of "abc".
  const sha256 = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
  const photo = (pictureId: string, about: string) =>
    fact({ kind: 'photo', about, pictureId, sha256, caption: 'boot still off' });
  const blocksOf = (facts: Facts, type = 'image/jpeg', kept: Uint8Array = bytes, forCustomer = false) => {
    const pictures = new Map([['p1', { type, bytes: kept }]]);
    return asBuiltRun(built(facts, defaultPractice, pictures), { ...options, forCustomer });
  };
  const printed = (blocks: readonly Block[]): string[] =>
    blocks.flatMap((block) => (block.kind === 'photos' ? block.photos.map(({ caption }) => caption) : []));

  it('are hashed as everybody hashes', () => expect(bytesHash(bytes)).toBe(sha256));

  it('are printed with what is on them, their words, the day and who took them', () => {
    const [caption] = printed(blocksOf([photo('p1', 'main.a')]));
    expect(caption).toMatch(/^.* end, boot still off, 2026-11-03, Wenna$/);
    expect(printed(blocksOf([photo('p1', 'main.a')], 'image/jpeg', bytes, true))[0]).not.toContain('Wenna');
  });

  it('another picture in its place, one which is away, and one no page takes are said', () => {
    const other = new TextEncoder().encode('abd');
    const changed = blocksOf([photo('p1', 'main.a')], 'image/jpeg', other);
    expect([printed(changed), textOf(changed)]).toEqual([
      [],
      expect.stringContaining('another picture lies in its place'),
    ]);
    expect(textOf(blocksOf([photo('p2', 'main.a')]))).toContain('not at the server');
    expect(textOf(blocksOf([photo('p1', 'main.a')], 'image/webp'))).toContain('kept as a file beside');
  });

  it('other words under one are shown, signed by who took it', () => {
    const worded = {
      ...photo('p1', 'main.a'),
      id: 'later',
      caption: 'boot on',
      by: 'Joss',
      at: '2026-11-04T09:00:00Z',
    };
    expect(photosOf([worded, photo('p1', 'main.a')])).toMatchObject([
      { caption: 'boot on', by: 'Wenna', at: expect.stringMatching(/^2026-11-03/) as unknown },
    ]);
  });

  it('which were withdrawn are not shown, and stay in the log', () => {
    const facts = [
      photo('p1', 'main.a'),
      fact({ kind: 'photo withdrawn', about: 'main.a', pictureId: 'p1' }),
    ];
    expect(photosOf(facts)).toEqual([]);
    expect(printed(blocksOf(facts))).toEqual([]);
    expect(textOf(blocksOf(facts))).toContain('photo withdrawn');
  });
});
