import type { ApiProblem } from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { BuiltServer, MountedDisk, run } from './builtServer.fixture.js';

/** A disk which is really full: on a file system inside a file. */
const base = mkdtempSync(join(tmpdir(), 'kobran-full-'));
const disk = new MountedDisk(base);
const server = new BuiltServer();
const possible = disk.make(320);
if (!possible)
  process.stderr.write(
    'fullDisk.test: no disk can be mounted here; gate.test asks a disk that is told to be full.\n',
  );

afterAll(async () => {
  await server.kill();
  disk.remove();
  rmSync(base, { recursive: true, force: true });
});

const filler = join(disk.path, 'filler');
/** Fills the disk until so much is left. */
function fill(leftMb: number): void {
  if (existsSync(filler)) rmSync(filler);
  const { bavail, bsize } = statfsSync(disk.path);
  run('fallocate', '-l', String(Math.floor(bavail * bsize - leftMb * 1024 * 1024)), filler);
}
const write = (address: string): Promise<Response> =>
  fetch(`${address}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: randomUUID(), name: 'Written', site: '' }),
  });
const written = async (address: string): Promise<number> => {
  const jobs = (await (await fetch(`${address}/api/jobs`)).json()) as { name: string }[];
  return jobs.filter(({ name }) => name === 'Written').length;
};

describe.skipIf(!possible)('when the disk is full', () => {
  it('writes are refused with words, reading goes on, it stops when told, and all goes on with room', async () => {
    let address = await server.start(join(disk.path, 'data'));
    expect((await write(address)).status).toBe(201);
    fill(40);
    await expect.poll(async () => (await write(address)).status, { timeout: 60_000 }).toBe(507);
    const refused = await write(address);
    expect(((await refused.json()) as ApiProblem).code).toBe('disk.full');
    fill(0.1);
    for (let k = 0; k < 20; k++) expect((await write(address)).status).toBe(507);
    const kept = await written(address);
    expect(kept).toBeGreaterThanOrEqual(1);
    rmSync(filler);
    await expect.poll(async () => (await write(address)).status, { timeout: 60_000 }).toBe(201);
    expect(await server.kill('SIGTERM')).toBe(0);
    address = await server.start(join(disk.path, 'data'));
    expect(await written(address)).toBe(kept + 1);
  });
});
