import { execFile } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { describe, expect, it } from 'vitest';
import { program, type ExitCode } from './program.js';

interface Ran {
  exitCode: ExitCode;
  out: string;
  err: string;
  json: () => Record<string, unknown>;
}

async function kobran(argv: string[], standardInput = ''): Promise<Ran> {
  let out = '';
  let err = '';
  const { exitCode } = await program({
    write: (text) => void (out += text),
    complain: (text) => void (err += text),
    readText: (path) => readFile(path, 'utf8'),
    readStandardInput: () => Promise.resolve(standardInput),
  }).run(argv);
  return { exitCode, out, err, json: () => JSON.parse(out) as Record<string, unknown> };
}

const root = fileURLToPath(new URL('../..', import.meta.url));
const example = `${root}docs/examples/vhf-outdoor.json`;

describe('kobran evaluate', () => {
  it('prints the sheet, arrays as lists', async () => {
    const { exitCode, json } = await kobran(['evaluate', example, '--points', '11']);
    expect(exitCode).toBe(0);
    expect(json()).toMatchObject({
      passes: true,
      headline: expect.stringContaining('reaches the antenna') as unknown,
    });
    expect((json().sweep as { frequencyHz: number[] }).frequencyHz).toHaveLength(11);
  });

  it('reads standard input, and exits 1 when something stops the run', async () => {
    const design = JSON.parse(await readFile(example, 'utf8')) as { radio: { face: string } };
    design.radio.face = 'rp-sma-jack';
    const { exitCode, json } = await kobran(['evaluate', '-'], JSON.stringify(design));
    expect(exitCode).toBe(1);
    expect(json()).toMatchObject({ passes: false });
  });

  it.each([
    ['broken JSON', '{"a":', 'file.not-json'],
    ['a list', '[]', 'design.not-an-object'],
    ['an unknown face', '{"schema":"kobran-design/1"}', 'value.'],
  ])('%s: what, where and how to mend, no stack', async (_, input, code) => {
    const { exitCode, err, out } = await kobran(['evaluate', '-'], input);
    expect(exitCode).toBe(2);
    expect(err).toContain(code);
    expect(err).not.toMatch(/\.js:\d+/);
    expect(out).toBe('');
  });

  it('a missing file and absurd points', async () => {
    expect((await kobran(['evaluate', 'no/such.json'])).err).toContain('cannot be read');
    expect((await kobran(['evaluate', example, '--points', '1e9'])).exitCode).toBe(2);
  });
});

describe('kobran mate', () => {
  it('says why, and exits by the verdict', async () => {
    const trap = await kobran(['mate', 'RP-SMA plug', 'SMA jack']);
    expect([trap.exitCode, trap.json().verdict]).toEqual([1, 'no contact']);
    expect((await kobran(['mate', 'PL-259', 'SO-239'])).exitCode).toBe(0);
    expect((await kobran(['mate', 'XLR plug', 'n-jack'])).exitCode).toBe(2);
  });
});

describe('kobran length', () => {
  // First principles and common practice: a quarter wave at 27.2 MHz, VF 0.695.
  it('gives both schools', async () => {
    const { json } = await kobran(['length', '90', '27.2MHz', '--vf', '0.695']);
    const { exact, shop } = json() as { exact: { metres: number }; shop: { metres: number } };
    expect(exact.metres).toBeCloseTo(1.915, 3);
    expect(shop.metres).toBeCloseTo(1.82, 2);
  });
  it.each([
    [['length', '-90', '27.2MHz', '--vf', '0.7']],
    [['length', 'many', '27.2MHz', '--vf', '0.7']],
    [['length', '90', '27.2 lightyears', '--vf', '0.7']],
    [['length', '90', '27.2MHz']],
    [['length', '90', '27.2MHz', '--vf', '7']],
    [['length', '90', '27.2MHz', '--cable', 'rg999']],
  ])('%j is refused', async (argv) => {
    const { exitCode, err } = await kobran(argv);
    expect(exitCode).toBe(2);
    expect(err).not.toBe('');
  });
});

describe('help', () => {
  const examples = async (): Promise<string[]> => {
    const helps = await Promise.all(
      [
        ['evaluate', '--help'],
        ['mate', '--help'],
        ['length', '--help'],
      ].map((argv) => kobran(argv)),
    );
    return helps.flatMap(({ out }) =>
      out
        .split('\n')
        .filter((line) => line.startsWith('  npx kobran'))
        .map((line) => line.trim()),
    );
  };

  it('every documented example runs, as a process', async () => {
    const lines = await examples();
    expect(lines).toHaveLength(4);
    for (const line of lines) {
      const argv = [...line.matchAll(/"([^"]+)"|(\S+)/g)].map((m) => m[1] ?? m[2]).slice(2);
      const { stdout } = await promisify(execFile)(process.execPath, ['cli/bin/kobran.js', ...argv], {
        cwd: root,
      }).catch((error: { code: number; stdout: string }) => error);
      expect(JSON.parse(stdout)).toBeTruthy();
    }
  });

  it('nothing and nonsense lead to the help', async () => {
    expect((await kobran(['juggle'])).exitCode).toBe(2);
    expect((await kobran(['--help'])).out).toContain('evaluate');
  });
});
