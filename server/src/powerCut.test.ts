import type { RunDocument } from '@kobran/contract';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { BuiltServer, MountedDisk, run } from './builtServer.fixture.js';
import { tarrowmere } from './demo/tarrowmere.js';

/**
 * A power cut as a disk sees it: what the kernel had not yet written is gone. The data folder lies on a file system inside a file; that
 * file is copied while everything runs, and the copy is what would be found after the cut.
 */
const base = mkdtempSync(join(tmpdir(), 'kobran-power-'));
const runId = tarrowmere[0].runs[1].id;
const IMAGE_MB = 512;
/** A person can cut longer: KOBRAN_POWER_CUTS=30. */
const CUTS = Number(process.env.KOBRAN_POWER_CUTS ?? 1);
const WRITES = 4;

const disk = new MountedDisk(base);
const server = new BuiltServer();

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

const possible = disk.make(IMAGE_MB);
if (!possible)
  process.stderr.write(
    'powerCut.test: no disk can be mounted here, so no power is cut; syncedFolder.test counts the syncs instead.\n',
  );

afterAll(async () => {
  await server.kill();
  disk.remove();
  rmSync(base, { recursive: true, force: true });
});

describe.skipIf(!possible)('when the power goes', () => {
  it(
    'everything acknowledged is there afterwards, the first seconds of the first start too',
    async () => {
      let address = await server.start(join(disk.path, 'data'));
      for (let cut = 0; cut < CUTS; cut++) {
        let last = await read(address);
        for (let k = 0; k < WRITES; k++) last = await write(address, last, `Cut ${cut}, write ${k}`);
        // Nothing is unmounted and nobody is told.
        const found = join(base, `found-${cut}.img`);
        run('cp', '--sparse=always', disk.image, found);
        await server.kill();
        const at = join(base, `found-${cut}`);
        disk.mount(found, at);
        const after = await read(await server.start(join(at, 'data')));
        expect(after.version).toBe(last.version);
        expect(after.design.name).toBe(`Cut ${cut}, write ${WRITES - 1}`);
        await server.kill();
        disk.unmount(at);
        rmSync(found);
        address = await server.start(join(disk.path, 'data'));
      }
    },
    CUTS * 90_000,
  );
});
