import { mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase, type OpenDatabase } from './database.js';
import { GroupedSync } from './groupedSync.js';
import { syncs } from './syncedFolder.js';

let folder: string;
let open: OpenDatabase | undefined;
const start = async (): Promise<OpenDatabase> => (open = await openDatabase({ folder }));
const stop = async (): Promise<void> => {
  await open?.close();
  open = undefined;
};

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'kobran-synced-'));
});
afterEach(async () => {
  await stop();
  rmSync(folder, { recursive: true, force: true });
});

const note = (db: OpenDatabase['db'], name: string): Promise<unknown> =>
  db.execute(sql`insert into jobs (id, name, site, practice) values (gen_random_uuid(), ${name}, '', '{}')`);

describe('the embedded database reaches the disk', () => {
  it('an acknowledged write is followed by a sync; fifty at once share few', async () => {
    const { db, durable } = await start();
    const before = syncs.count;
    await note(db, 'one');
    await durable();
    expect(syncs.count).toBeGreaterThan(before);
    const alone = syncs.count;
    await Promise.all(
      Array.from({ length: 50 }, async (_, k) => {
        await note(db, `job ${k}`);
        await durable();
      }),
    );
    const shared = syncs.count - alone;
    expect(shared).toBeGreaterThan(0);
    expect(shared).toBeLessThanOrEqual(50 / 3);
  });

  it('a folder without its version is refused in words and left as it is; what a killed engine left behind is no hindrance', async () => {
    await start();
    await stop();
    const data = join(folder, 'database');
    renameSync(join(data, 'PG_VERSION'), join(folder, 'PG_VERSION'));
    const before = readdirSync(data);
    await expect(start()).rejects.toThrow(/damaged: PG_VERSION is missing.*left as it is/);
    expect(readdirSync(data)).toEqual(before);
    renameSync(join(folder, 'PG_VERSION'), join(data, 'PG_VERSION'));
    writeFileSync(join(data, 'postmaster.pid'), '');
    const { db } = await start();
    await note(db, 'after all');
  });

  it('an unpacking which was cut off begins anew', async () => {
    mkdirSync(join(folder, 'database/base'), { recursive: true });
    writeFileSync(join(folder, 'database.unpacking'), '');
    const { db } = await start();
    await note(db, 'first');
    expect(readdirSync(folder)).not.toContain('database.unpacking');
  });
});

describe('writers share a sync', () => {
  it('who comes while one is under way waits for the next, and for no more', async () => {
    const log: string[] = [];
    let finish: () => void = () => undefined;
    const sync = new GroupedSync(() => {
      log.push('begun');
      return new Promise((resolve) => (finish = resolve));
    });
    const first = sync.reached().then(() => log.push('first'));
    await Promise.resolve();
    await Promise.resolve();
    const others = [sync.reached(), sync.reached()].map((one, k) => one.then(() => log.push(`later ${k}`)));
    expect(log).toEqual(['begun']);
    finish();
    await first;
    await new Promise((resolve) => setTimeout(resolve, 0));
    expect(log).toEqual(['begun', 'first', 'begun']);
    finish();
    await Promise.all(others);
    expect(log.slice(3)).toEqual(['later 0', 'later 1']);
  });

  it('a sync that fails is told to those who waited, and the next one is tried', async () => {
    let count = 0;
    const sync = new GroupedSync(() =>
      ++count === 1 ? Promise.reject(new Error('no room')) : Promise.resolve(),
    );
    await expect(sync.reached()).rejects.toThrow('no room');
    await expect(sync.reached()).resolves.toBeUndefined();
  });
});
