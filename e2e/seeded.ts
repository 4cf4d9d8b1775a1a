import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { once } from 'node:events';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from './startServer.js';

/** Fills one folder with the demo jobs before all tests; each test starts from a copy of it, which is much faster. */
export default async function seeded(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'kobran-seeded-'));
  const server = await startServer(folder, await freePort());
  const ended = once(server, 'exit');
  // Stopped as a person stops it, so that the database is closed and its lock is gone.
  server.kill('SIGTERM');
  await ended;
  process.env.KOBRAN_SEEDED = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}

export async function freePort(): Promise<number> {
  const probe = createServer();
  probe.listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const address = probe.address();
  probe.close();
  if (typeof address !== 'object' || !address) throw new Error('no port');
  return address.port;
}
