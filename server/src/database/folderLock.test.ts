import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { isHeld, lockFolder } from './folderLock.js';

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

  it('half written when the power went is taken over, not one that is being written', () => {
    writeFileSync(file(), '{"pid": 12');
    expect(() => lockFolder(folder)).toThrow('is open in process');
    utimesSync(file(), new Date(), new Date(Date.now() - 5000));
    lockFolder(folder).release();
  });

  it('of another container holds while it is touched, whatever its number says here', () => {
    writeFileSync(
      file(),
      JSON.stringify({ pid: 2 ** 22 + 12345, started: '1', where: 'elsewhere', token: 'x' }),
    );
    expect(() => lockFolder(folder)).toThrow('another machine or container');
    expect(isHeld(folder)).toBe(true);
    utimesSync(file(), new Date(), new Date(Date.now() - 60_000));
    expect(isHeld(folder)).toBe(false);
    lockFolder(folder).release();
  });

  it('is released by who holds it and nobody else', () => {
    const lost = lockFolder(folder);
    const other = JSON.stringify({ pid: process.pid, started: '', where: 'elsewhere', token: 'theirs' });
    writeFileSync(file(), other);
    lost.release();
    expect(readFileSync(file(), 'utf8')).toBe(other);
  });

  it('left by a dead one is taken by one of many that start at the same moment', async () => {
    writeFileSync(file(), JSON.stringify({ pid: 2 ** 22 + 12345, started: '1' }));
    const program = `
      const { lockFolder } = await import(${JSON.stringify(new URL('../../dist/database/folderLock.js', import.meta.url).href)});
      try { lockFolder(${JSON.stringify(folder)}); console.log('mine'); setTimeout(() => undefined, 3000); }
      catch { console.log('not mine'); }`;
    const said = await Promise.all(
      Array.from({ length: 6 }, async () => {
        const child = spawn(process.execPath, ['--input-type=module', '-e', program], {
          stdio: ['ignore', 'pipe', 'inherit'],
        });
        let text = '';
        for await (const chunk of child.stdout) text += String(chunk);
        return text.trim();
      }),
    );
    expect(said.filter((one) => one === 'mine')).toHaveLength(1);
  });

  it('makes the folder when there is none yet', () => {
    const deeper = join(folder, 'a', 'b');
    lockFolder(deeper).release();
  });
});
