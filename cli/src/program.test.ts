import { catalog, chained, defaultPractice, sweepHash, type Fact } from '@kobran/core';
import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { describe, expect, it } from 'vitest';
import type { ExitCode } from './desk.js';
import { program } from './program.js';

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
    runDataProgram: () => Promise.resolve(0),
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

describe('kobran join', () => {
  it('takes no power and 0 W as receive only', async () => {
    for (const more of [[], ['--power', '0 W'], ['--power', '5W']]) {
      const { exitCode, err } = await kobran(['join', 'SMA jack', 'PL-259', '--at', '145MHz', ...more]);
      expect([exitCode, err]).toEqual([0, '']);
    }
  });

  it('asks which number is meant', async () => {
    const { exitCode, err } = await kobran(['join', 'SMA jack', 'PL-259', '--power', '1,500 W']);
    expect(exitCode).toBe(2);
    expect(err).toContain('“1,500” can be 1500 or 1.5.');
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

describe('kobran join', () => {
  // Trade facts, no source: what every bag has, and what must not carry power.
  it('names the chain and why, and says no where nothing passes', async () => {
    const found = await kobran(['join', 'SMA jack', 'BNC plug', '--at', '145MHz', '--power', '5W']);
    expect(found.exitCode).toBe(0);
    expect(found.json()).toMatchObject({
      0: {
        adapters: [{ id: 'sma-plug-to-bnc-jack' }],
        passes: true,
        why: expect.stringContaining('145 MHz') as unknown,
      },
    });
    expect((await kobran(['join', 'F jack', 'N plug', '--power', '25W'])).exitCode).toBe(1);
    expect((await kobran(['join', 'F jack', 'N plug', '--power', 'lots'])).exitCode).toBe(2);
  });
});

describe('kobran fit', () => {
  it('gives the gaps, and the parts which do fit', async () => {
    const tight = await kobran(['fit', 'rg213', 'uhf-plug-crimp-5mm']);
    expect([tight.exitCode, tight.json().verdict]).toEqual([1, 'tight']);
    expect((await kobran(['fit', 'rg213'])).out).toContain('uhf-plug-solder-10mm');
    expect((await kobran(['fit', 'rg999'])).err).toContain('There is no cable “rg999”');
  });
});

describe('kobran cables', () => {
  it('weighs every cable for a run', async () => {
    const { exitCode, json } = await kobran(['cables', example]);
    expect(exitCode).toBe(0);
    const { cables } = json() as { cables: { id: string; against: string[] }[] };
    expect(cables.map(({ id }) => id)).toContain('c400');
    expect(cables.find(({ id }) => id === 'rg174')?.against.length).toBeGreaterThan(0);
    expect((await kobran(['cables', example, '--piece', 'nothing'])).exitCode).toBe(2);
  });
});

describe('kobran catalog', () => {
  it('an own catalogue lies over the shipped one; a spoilt one is refused with its line', async () => {
    const own = await kobran(['--catalog', `${root}docs/examples/own-catalog.csv`, 'fit', 'grey-drum']);
    expect(own.out).toContain('our-n-plug');
    const spoilt = await kobran(
      ['--catalog', '-', 'fit', 'rg213'],
      'kind,id,count,matings\nstock,x,many,0\n',
    );
    expect(spoilt.exitCode).toBe(2);
    expect(spoilt.err).toContain('line 2, column count');
  });
  it('what it prints it reads', async () => {
    const { out } = await kobran(['catalog', '--format', 'csv']);
    expect((await kobran(['--catalog', '-', 'fit', 'rg213'], out)).exitCode).toBe(0);
  });
});

describe('help', () => {
  const examples = async (): Promise<string[]> => {
    const helps = await Promise.all(
      ['evaluate', 'mate', 'join', 'fit', 'cables', 'length', 'catalog'].map((name) =>
        kobran([name, '--help']),
      ),
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
    expect(lines.length).toBeGreaterThanOrEqual(9);
    for (const line of lines) {
      const argv = [...line.matchAll(/"([^"]+)"|(\S+)/g)].map((m) => m[1] ?? m[2]).slice(2);
      const { stdout } = await promisify(execFile)(process.execPath, ['cli/bin/kobran.js', ...argv], {
        cwd: root,
      }).catch((error: { code: number; stdout: string }) => error);
      if (line.includes('--format csv')) {
        const [head, ...rows] = stdout.trimEnd().split('\n');
        expect(head.split(','), line).toContain('kind');
        expect(rows.filter((row) => row.startsWith('cable,')).length, line).toBe(catalog.cables.size);
      } else expect(Object.keys(JSON.parse(stdout) as object), line).not.toEqual([]);
    }
  });

  it('nothing and nonsense lead to the help', async () => {
    expect((await kobran(['juggle'])).exitCode).toBe(2);
    expect((await kobran(['--help'])).out).toContain('evaluate');
  });
});

describe('kobran verify', () => {
  const entry = (text: string): Fact => ({
    id: randomUUID(),
    kind: 'note',
    by: 'Wenna',
    at: '2026-11-26T09:00:00.000Z',
    about: '',
    text,
  });
  const facts = [entry('one'), entry('two'), entry('three')];
  const hashes = chained(facts);
  const file = (run: object): string =>
    JSON.stringify({
      schema: 'kobran-job/2',
      exportedAt: '2026-11-26T10:00:00.000Z',
      name: 'A job',
      site: '',
      practice: defaultPractice,
      runs: [{ design: { name: 'The run' }, facts, log: { hashes, head: hashes[2] }, ...run }],
    });

  it('says that a log is sound, with its head', async () => {
    const { exitCode, out } = await kobran(['verify', '-'], file({}));
    expect([exitCode, out]).toEqual([0, `The run: sound, 3 entries, head ${hashes[2]}\n`]);
  });

  it.each([
    ['a changed entry', { facts: facts.with(1, entry('another')) }, 'Entry 2'],
    ['two changed about', { facts: [facts[1], facts[0], facts[2]] }, 'Entry 1'],
    [
      'a missing end',
      { facts: facts.slice(0, 2), log: { hashes: hashes.slice(0, 2), head: hashes[2] } },
      'after entry 2',
    ],
  ])('%s: exit code 1, and where', async (_, run, where) => {
    const { exitCode, out } = await kobran(['verify', '-'], file(run));
    expect(exitCode).toBe(1);
    expect(out).toContain(where);
  });

  it('a photo that is missing, or another than was taken', async () => {
    const picture = { id: randomUUID(), type: 'image/jpeg', base64: Buffer.from('abc').toString('base64') };
    const entryOf = (sha256: string): Fact => ({
      id: randomUUID(),
      by: 'Wenna',
      at: '2026-11-26T09:00:00.000Z',
      kind: 'photo',
      about: 'main.a',
      pictureId: picture.id,
      sha256,
    });
    const verified = async (sha256: string, pictures: object[]) => {
      const own = [entryOf(sha256)];
      const log = { hashes: chained(own), head: chained(own)[0] };
      const job = { ...(JSON.parse(file({ facts: own, log })) as object), pictures };
      return kobran(['verify', '-'], JSON.stringify(job));
    };
    // FIPS 180-4, appendix: SHA-256 of "abc".
    const right = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
    expect((await verified(right, [picture])).exitCode).toBe(0);
    const changed = await verified('0'.repeat(64), [picture]);
    expect([changed.exitCode, changed.out]).toEqual([1, expect.stringContaining('CHANGED photo of main.a')]);
    const missing = await verified(right, []);
    expect([missing.exitCode, missing.out]).toEqual([1, expect.stringContaining('MISSING photo of main.a')]);
  });

  it('a sweep whose samples are not those which were taken, or which is gone', async () => {
    const sweep = {
      id: randomUUID(),
      pieceId: '',
      name: 'after the pull',
      far: 'load',
      rained: false,
      by: 'Wenna',
      at: '2026-11-26T09:00:00.000Z',
      referenceOhm: 50,
      frequencyHz: [1e6, 2e6],
      s11: { re: [0.1, 0.2], im: [0, 0.1] },
    };
    const verified = (traces: object[]) => {
      const { pieceId, name, by, at } = sweep;
      const taken: Fact = {
        id: randomUUID(),
        by,
        at,
        kind: 'sweep',
        pieceId,
        name,
        sha256: sweepHash(sweep),
      };
      const log = { hashes: chained([taken]), head: chained([taken])[0] };
      return kobran(['verify', '-'], file({ facts: [taken], log, traces }));
    };
    expect((await verified([sweep])).exitCode).toBe(0);
    const changed = await verified([{ ...sweep, s11: { ...sweep.s11, im: [0, 0.11] } }]);
    expect([changed.exitCode, changed.out]).toEqual([1, expect.stringContaining('after the pull')]);
    expect((await verified([])).exitCode).toBe(1);
  });

  it('a file of before the chain is unchecked, and what is no job file is refused', async () => {
    const older = await kobran(['verify', '-'], file({ log: undefined }));
    expect([older.exitCode, older.out]).toEqual([0, expect.stringContaining('older than the chained log')]);
    expect((await kobran(['verify', '-'], '{}')).exitCode).toBe(2);
  });
});
