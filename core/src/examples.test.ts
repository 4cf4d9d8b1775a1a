import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { runInNewContext } from 'node:vm';
import { expect, it } from 'vitest';
import * as core from './index.js';
import { splitTerms } from './quantity/number.js';
import { aRun } from './run/aRun.fixture.js';

/** `call // what it gives`: the call is made, and what it gives is compared where it is written as a value. */
const EXAMPLE = /@example (.+?)(?: \/\/ (.+))?$/;

/** What the examples speak of without saying where it comes from. */
const context = {
  ...core,
  splitTerms,
  design: aRun(),
  part: (id: string) => core.entry(core.catalog.parts, id),
  cable: (id: string) => core.entry(core.catalog.cables, id),
  loop: core.expectations(core.entry(core.catalog.cables, 'rg213'), 32, [])[0],
};

const folder = fileURLToPath(new URL('.', import.meta.url));
const examples = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter((file) => /(?<!test|fixture)\.ts$/.test(file))
  .flatMap((file) =>
    readFileSync(`${folder}${file}`, 'utf8')
      .split('\n')
      .flatMap((line): [string, string | undefined][] => {
        const [, call, gives] = EXAMPLE.exec(line) ?? [];
        return call ? [[call, gives]] : [];
      }),
  );

/** A value which is written out; nothing for words. */
function written(gives: string | undefined): unknown {
  if (gives === undefined || !/^['"`{[\d-]/.test(gives)) return undefined;
  return JSON.parse(JSON.stringify(runInNewContext(`(${gives})`)));
}

/** Without what binary fractions leave in the last digits. */
const rounded = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Number(one.toPrecision(12)) : one)),
  );

it('there are examples', () => expect(examples.length).toBeGreaterThan(20));

it.each(examples)('%s', (call, gives) => {
  const result: unknown = runInNewContext(call, context);
  const expected = written(gives);
  if (typeof expected === 'number') expect(result).toBeCloseTo(expected, 3);
  else if (typeof expected === 'object') expect(rounded(result)).toMatchObject(expected as object);
  else if (expected !== undefined) expect(result).toBe(expected);
  else expect(result).toBeDefined();
});
