import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { lockFolder } from './folderLock.js';

let folder: string;
const file = (): string => join(folder, 'kobran.lock');

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'kobran-lock-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('the lock of a data folder', () => {
  it('is held by one process until it lets go', () => {
    const lock = lockFolder(folder);
    expect(() => lockFolder(folder)).toThrow(`open in process ${process.pid}`);
    lock.release();
    lockFolder(folder).release();
  });

  it('left by a killed process is taken over', () => {
    writeFileSync(file(), JSON.stringify({ pid: 2 ** 22 + 12345, started: '1' }));
    lockFolder(folder).release();
  });

  it('of a number which another process has got since is taken over', () => {
    writeFileSync(file(), JSON.stringify({ pid: process.pid, started: '1' }));
    const lock = lockFolder(folder);
    expect(JSON.parse(readFileSync(file(), 'utf8'))).toMatchObject({ pid: process.pid });
    lock.release();
  });

  it('half written when the power went is taken over', () => {
    writeFileSync(file(), '{"pid": 12');
    lockFolder(folder).release();
  });

  it('makes the folder when there is none yet', () => {
    const deeper = join(folder, 'a', 'b');
    lockFolder(deeper).release();
  });
});
