import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { BuiltServer } from './builtServer.fixture.js';

const job = '/api/jobs/7a0e1d00-0000-4000-8000-00000000b001';
const spoilt = { version: 1, name: 'Job', site: '', practice: { diesMm: [[]] } };

/** What a server says of itself, and of a document whose list has a list in it. */
async function heard(program: 'kobran.js' | 'main.js'): Promise<[described: unknown, refused: unknown]> {
  const folder = mkdtempSync(join(tmpdir(), 'kobran-bundle-'));
  const server = new BuiltServer(program);
  try {
    const address = await server.start(folder);
    const described: unknown = await (await fetch(`${address}/api/docs-json`)).json();
    const refused = await fetch(address + job, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(spoilt),
    });
    return [described, await refused.json()];
  } finally {
    await server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

// A package which is in the bundle twice keeps two registers: then rules of nested documents are lost without a word.
it('the server in one file describes and refuses what its modules do', async () => {
  const [described, refused] = await heard('kobran.js');
  expect(JSON.stringify(refused)).toContain('practice.');
  expect([described, refused]).toEqual(await heard('main.js'));
});
