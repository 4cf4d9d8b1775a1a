import type { RunDocument } from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { BuiltServer } from './builtServer.fixture.js';
import { readConfig } from './config.js';
import { tarrowmere } from './demo/tarrowmere.js';

const folder = mkdtempSync(join(tmpdir(), 'kobran-killed-'));
const runId = tarrowmere[0].runs[1].id;
const server = new BuiltServer();

afterAll(async () => {
  await server.kill();
  rmSync(folder, { recursive: true, force: true });
});

const read = async (address: string): Promise<RunDocument> =>
  (await (await fetch(`${address}/api/runs/${runId}`)).json()) as RunDocument;

it('killed at any moment, it comes back with everything it acknowledged', async () => {
  let address = await server.start(folder);
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
  await server.kill();

  address = await server.start(folder);
  const after = await read(address);
  expect(after.version).toBe(acknowledged);
  expect(after.design.name).toBe('Write 4');
  expect(after.facts).toContainEqual(entry);
  expect(await server.kill('SIGTERM')).toBe(0);
});

it('a port which is none is refused by name', () => {
  expect(() => readConfig({ PORT: 'eighty' })).toThrow('PORT is “eighty”');
  expect(readConfig({})).toMatchObject({ port: 4780 });
});
