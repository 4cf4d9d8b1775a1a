import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { createApp, type RunningApp } from './app.js';
import { configIn } from './demoServer.fixture.js';

const folder = mkdtempSync(join(tmpdir(), 'kobran-web-'));
const webFolder = join(folder, 'web');
const script = 'console.log("Kobran")\n'.repeat(200);
let running: RunningApp;
const get = (path: string, encoding = '') =>
  request(running.app.getHttpServer()).get(path).set('Accept-Encoding', encoding);

beforeAll(async () => {
  mkdirSync(join(webFolder, 'assets'), { recursive: true });
  for (const [name, text] of [
    ['index.html', '<!doctype html><title>Kobran</title>'],
    ['assets/index-abc.js', script],
  ]) {
    writeFileSync(join(webFolder, name), text);
    writeFileSync(join(webFolder, `${name}.br`), brotliCompressSync(text));
    writeFileSync(join(webFolder, `${name}.gz`), gzipSync(text));
  }
  running = await createApp(configIn(join(folder, 'data'), { webFolder }));
});
afterAll(async () => {
  await running.stop();
  rmSync(folder, { recursive: true, force: true });
});

describe('the built page', () => {
  // RFC 9110, 8.4 and 12.5.3: what the client takes, named in the answer, and told apart by caches.
  it.each(['br', 'gzip', ''])(
    'is sent as it was compressed when it was built, where “%s” is taken',
    async (encoding) => {
      const { headers, text } = await get('/assets/index-abc.js', encoding).expect(200);
      expect(headers['content-encoding'] ?? '').toBe(encoding);
      if (encoding !== 'br') expect(text).toBe(script);
      if (encoding !== '') expect(headers.vary).toBe('Accept-Encoding');
      expect(headers['cache-control']).toContain('immutable');
    },
  );

  it('is the page for every screen, asked for anew each time; a missing script and the API are not', async () => {
    for (const path of ['/', '/runs/some/plan', '/runs/some/make/main.b?work=re-end']) {
      const screen = await get(path).expect(200);
      expect(screen.text).toContain('<title>Kobran');
      expect(screen.headers['cache-control']).toBe('no-cache');
    }
    await get('/assets/gone.js').expect(404);
    await get('/api/gone').expect(404);
  });

  it('leads to no file outside its folder', async () => {
    for (const path of [
      '/..%2fdata/kobran.lock',
      '/assets/..%2f..%2fdata%2fkobran.lock',
      '/%2e%2e/data/kobran.lock',
    ])
      expect((await get(path)).text).not.toContain('"pid"');
  });
});
