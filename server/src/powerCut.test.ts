import type { RunDocument } from '@kobran/contract';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { tarrowmere } from './demo/tarrowmere.js';

/**
 * A power cut as a disk sees it: what the kernel had not yet written is gone. The data folder lies on a file system inside a file; that
 * file is copied while everything runs, and the copy is what would be found after the cut.
 */
const base = mkdtempSync(join(tmpdir(), 'kobran-power-'));
const main = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const runId = tarrowmere[0].runs[1].id;
const IMAGE_MB = 512;
/** A person can cut longer: KOBRAN_POWER_CUTS=30. */
const CUTS = Number(process.env.KOBRAN_POWER_CUTS ?? 1);
const WRITES = 4;

const run = (command: string, ...args: string[]): string =>
  execFileSync(command, args, { stdio: 'pipe', encoding: 'utf8' });
const mounted: string[] = [];
const servers: ChildProcess[] = [];

function mount(image: string, at: string): void {
  mkdirSync(at, { recursive: true });
  run('mount', '-o', 'loop', image, at);
  mounted.push(at);
}
function unmount(at: string): void {
  run('umount', at);
  mounted.splice(mounted.indexOf(at), 1);
}

/** Whether this machine lets a file be mounted as a disk. */
function canMount(): boolean {
  try {
    const image = join(base, 'disk.img');
    run('truncate', '-s', `${IMAGE_MB}M`, image);
    run('mkfs.ext4', '-q', image);
    mount(image, join(base, 'disk'));
    return true;
  } catch {
    return false;
  }
}

async function start(folder: string): Promise<string> {
  const child = spawn(process.execPath, [main], {
    env: { ...process.env, PORT: '0', KOBRAN_DATA: folder, KOBRAN_DEMO: '1', KOBRAN_LOG: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  servers.push(child);
  for await (const chunk of child.stdout) {
    const address = /http:\S+/.exec(String(chunk))?.[0];
    if (address) return address;
  }
  throw new Error('the server ended before it listened');
}
async function kill(): Promise<void> {
  const child = servers.pop();
  if (!child) return;
  const ended = once(child, 'exit');
  child.kill('SIGKILL');
  await ended;
}

const read = async (address: string): Promise<RunDocument> =>
  (await (await fetch(`${address}/api/runs/${runId}`)).json()) as RunDocument;

async function write(address: string, { version, design }: RunDocument, name: string): Promise<RunDocument> {
  const answer = await fetch(`${address}/api/runs/${runId}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version, design: { ...design, name } }),
  });
  expect(answer.status).toBe(200);
  return (await answer.json()) as RunDocument;
}

const possible = canMount();
if (!possible)
  process.stderr.write(
    'powerCut.test: no disk can be mounted here, so no power is cut; syncedFolder.test counts the syncs instead.\n',
  );

afterAll(async () => {
  while (servers.length > 0) await kill();
  for (const at of [...mounted]) unmount(at);
  rmSync(base, { recursive: true, force: true });
});

describe.skipIf(!possible)('when the power goes', () => {
  it(
    'everything acknowledged is there afterwards, the first seconds of the first start too',
    async () => {
      const disk = join(base, 'disk');
      let address = await start(join(disk, 'data'));
      for (let cut = 0; cut < CUTS; cut++) {
        let last = await read(address);
        for (let k = 0; k < WRITES; k++) last = await write(address, last, `Cut ${cut}, write ${k}`);
        // Nothing is unmounted and nobody is told.
        const found = join(base, `found-${cut}.img`);
        run('cp', '--sparse=always', join(base, 'disk.img'), found);
        await kill();
        const at = join(base, `found-${cut}`);
        mount(found, at);
        const after = await read(await start(join(at, 'data')));
        expect(after.version).toBe(last.version);
        expect(after.design.name).toBe(`Cut ${cut}, write ${WRITES - 1}`);
        await kill();
        unmount(at);
        rmSync(found);
        address = await start(join(disk, 'data'));
      }
    },
    CUTS * 90_000,
  );
});
