import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { program } from './program.js';

const root = fileURLToPath(new URL('../..', import.meta.url));
const oldFile = `${root}contract/src/documents/versions/job-1.json`;

async function evaluate(content: string, ...more: string[]) {
  let [out, err] = ['', ''];
  const { exitCode } = await program({
    write: (text) => void (out += text),
    complain: (text) => void (err += text),
    readText: () => Promise.resolve(content),
    readStandardInput: () => Promise.resolve(content),
    runDataProgram: () => Promise.resolve(0),
  }).run(['evaluate', 'job.json', ...more]);
  return {
    exitCode,
    err,
    sheet: () => JSON.parse(out) as { headline: string; stages: { id: string; detail: string }[] },
  };
}
const text = (): Promise<string> => readFile(oldFile, 'utf8');
interface File {
  practice: Record<string, unknown>;
  runs: { design: { name: string }; log: object[]; readings: object[] }[];
}

describe('a run of an exported job', () => {
  it('is found by its number and by its name, and its facts count', async () => {
    const file = JSON.parse(await text()) as File;
    const byNumber = await evaluate(await text(), '--run', '1');
    const byName = await evaluate(await text(), '--run', file.runs[0].design.name);
    expect(byName.sheet()).toEqual(byNumber.sheet());
    const make = byNumber.sheet().stages.find(({ id }) => id === 'make');
    expect(make?.detail).toMatch(/^2 of \d+ ends$/);
    file.runs[0].log = [];
    const bare = await evaluate(JSON.stringify(file), '--run', '1');
    expect(bare.sheet().stages.find(({ id }) => id === 'make')?.detail).toMatch(/^0 of/);
  });

  it('its practice counts', async () => {
    const file = JSON.parse(await text()) as File;
    file.practice.remakesPerEnd = 9;
    const [usual, careful] = [
      await evaluate(await text(), '--run', '1'),
      await evaluate(JSON.stringify(file), '--run', '1'),
    ];
    expect(careful.sheet()).not.toEqual(usual.sheet());
  });

  it('without --run, of several, the names are told; a single one needs none', async () => {
    const several = await evaluate(await text());
    expect(several.exitCode).toBe(2);
    expect(several.err).toContain('1 (');
    expect((await evaluate(await text(), '--run', 'nowhere')).err).toContain('There is no run “nowhere”');
    const file = JSON.parse(await text()) as File;
    file.runs = file.runs.slice(0, 1);
    expect((await evaluate(JSON.stringify(file))).sheet().headline).toContain('reaches the antenna');
  });

  it('a spoilt fact is refused with its place', async () => {
    const file = JSON.parse(await text()) as File;
    file.runs[0].readings = [{ id: 'x' }];
    const { exitCode, err } = await evaluate(JSON.stringify(file), '--run', '1');
    expect(exitCode).toBe(2);
    expect(err).toContain('runs[0].facts[0].id');
  });
});
