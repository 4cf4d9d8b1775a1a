import { catalog, factText, isObject, withShop, type ShopEntry } from '@kobran/core';
import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { JOB_FILE_SCHEMA, JobFile, upgradeJobFile } from './jobFile.js';
import { readAs } from './readAs.js';
import { readDesign } from './readDesign.js';
import { readFact } from './readFact.js';
import { readPractice } from './readPractice.js';

/** One example of every version of every document there was: a new version leaves its predecessor’s here. */
const folder = fileURLToPath(new URL('versions/', import.meta.url));
const example = (name: string): unknown => JSON.parse(readFileSync(`${folder}${name}`, 'utf8')) as unknown;

interface OldFile {
  runs: { readings: { id: string }[]; log: { id: string; kind: string; text: string; about: string }[] }[];
}

it('there is one of each', () => expect(readdirSync(folder)).toEqual(['design-1.json', 'job-1.json']));

it('a design of version 1 opens as it is', () => {
  const design = example('design-1.json');
  const read = readDesign(design, catalog);
  expect(read.ok && JSON.parse(JSON.stringify(read.design))).toEqual(design);
});

describe('a job file of version 1', () => {
  const old = example('job-1.json') as OldFile & { catalog?: ShopEntry[] };
  const upgraded = upgradeJobFile(old);
  const read = readAs(JobFile, isObject(upgraded) ? upgraded : {});
  const file = ((): JobFile => {
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return read.value;
  })();

  it('is one of today’s, designs, practice and sweeps included', () => {
    expect(file.schema).toBe(JOB_FILE_SCHEMA);
    expect(readPractice(file.practice)).toMatchObject({ ok: true });
    const known = withShop(catalog, old.catalog ?? []);
    for (const { design } of file.runs) expect(readDesign(design, known)).toMatchObject({ ok: true });
    expect(file.runs.flatMap(({ traces }) => traces ?? []).some(({ birth }) => birth)).toBe(true);
  });

  it('loses no reading and no line of its log, and changes no word', () => {
    for (const [k, { readings, log }] of old.runs.entries()) {
      const facts = file.runs[k].facts.map((fact) => readFact(fact));
      expect(facts.filter(({ ok }) => !ok)).toEqual([]);
      expect(facts).toHaveLength(readings.length + log.length);
      for (const entry of log) {
        const fact = facts.find((one) => one.ok && one.fact.id === entry.id);
        expect(fact?.ok && factText(fact.fact, catalog)).toBe(entry.text);
      }
    }
  });

  it('old kinds have their new names', () => {
    const kinds = file.runs.flatMap(({ facts }) => facts.map((fact) => (fact as { kind: string }).kind));
    for (const gone of ['routed', 'bonded']) expect(kinds).not.toContain(gone);
    for (const now of ['installed', 'grounded', 'reading', 'end made', 'note']) expect(kinds).toContain(now);
  });
});

describe('what is no job file', () => {
  it.each([[null], ['text'], [[]], [{ schema: 'kobran-job/1' }], [{ schema: 'kobran-job/9', runs: [] }]])(
    '%j is left for the rules to refuse',
    (value) => {
      const upgraded = upgradeJobFile(value);
      expect(upgraded).toEqual(value);
      expect(readAs(JobFile, isObject(upgraded) ? upgraded : {})).toMatchObject({ ok: false });
    },
  );

  it('a run which is none stays none, its siblings are upgraded', () => {
    const upgraded = upgradeJobFile({
      schema: 'kobran-job/1',
      runs: [null, { design: {}, readings: 'x', log: [null] }],
    });
    expect(upgraded).toMatchObject({ runs: [null, { facts: [null] }] });
  });
});

describe('a practice', () => {
  it('what it leaves out is as usual', () =>
    expect(readPractice({ tapeStretch: 'hard' })).toMatchObject({
      ok: true,
      practice: { cutSchool: 'exact', tapeStretch: 'hard', remakesPerEnd: 1 },
    }));
  it.each([[{ cutSchool: 'guess' }], [{ remakesPerEnd: -1 }], [{ diesMm: ['x'] }], [{ nonsense: 1 }]])(
    '%j is refused with its place',
    (value) => {
      const read = readPractice(value);
      expect(read.ok ? [] : [...new Set(read.problems.map(({ where }) => where))]).toEqual([
        Object.keys(value)[0],
      ]);
    },
  );
});
