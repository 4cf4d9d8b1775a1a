import type { RunDocument } from '@kobran/contract';
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, expect, it } from 'vitest';
import { readConfig } from './config.js';
import { tarrowmere } from './demo/tarrowmere.js';

const folder = mkdtempSync(join(tmpdir(), 'kobran-killed-'));
const main = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const runId = tarrowmere[0].runs[1].id;
let server: ChildProcess | undefined;

afterAll(() => {
  server?.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** Starts the built server on a free port and gives its address. */
async function start(): Promise<string> {
  const child = spawn(process.execPath, [main], {
    env: { ...process.env, PORT: '0', KOBRAN_DATA: folder, KOBRAN_DEMO: '1', KOBRAN_LOG: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server = child;
  for await (const chunk of child.stdout) {
    const address = /http:\S+/.exec(String(chunk))?.[0];
    if (address) return address;
  }
  throw new Error('the server ended before it listened');
}

async function kill(signal: NodeJS.Signals): Promise<number | null> {
  if (!server) throw new Error('no server');
  const ended = once(server, 'exit') as Promise<[number | null]>;
  server.kill(signal);
  return (await ended)[0];
}

const read = async (address: string): Promise<RunDocument> =>
  (await (await fetch(`${address}/api/runs/${runId}`)).json()) as RunDocument;

it('killed at any moment, it comes back with everything it acknowledged', async () => {
  let address = await start();
  const { version, design } = await read(address);
  let acknowledged = version;
  for (let k = 0; k < 5; k++) {
    const answer = await fetch(`${address}/api/runs/${runId}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ version: acknowledged, design: { ...design, name: `Write ${k}` } }),
    });
    acknowledged = ((await answer.json()) as RunDocument).version;
  }
  const entry = {
    id: randomUUID(),
    kind: 'note',
    about: '',
    text: 'before the lights went out',
    by: 'Wenna',
    at: new Date().toISOString(),
  };
  const logged = await fetch(`${address}/api/runs/${runId}/facts`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(entry),
  });
  expect(logged.status).toBe(204);
  await kill('SIGKILL');

  address = await start();
  const after = await read(address);
  expect(after.version).toBe(acknowledged);
  expect(after.design.name).toBe('Write 4');
  expect(after.facts).toContainEqual(entry);
  expect(await kill('SIGTERM')).toBe(0);
});

it('a port which is none is refused by name', () => {
  expect(() => readConfig({ PORT: 'eighty' })).toThrow('PORT is “eighty”');
  expect(readConfig({})).toMatchObject({ port: 4780 });
});
