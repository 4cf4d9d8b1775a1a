import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { expect, it } from 'vitest';
import { createApp } from '../app.js';
import { configIn } from '../demoServer.fixture.js';

it('an empty Kobran opens the demo once; one with jobs, deleted or not, is left alone', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'kobran-test-'));
  const running = await createApp(configIn(folder));
  const api = request(running.app.getHttpServer());
  const names = async (): Promise<string[]> =>
    ((await api.get('/api/jobs').expect(200)).body as { name: string }[]).map(({ name }) => name);
  expect(await names()).toEqual([]);
  await api.post('/api/jobs/demo').expect(204);
  const jobs = await names();
  expect(jobs.length).toBeGreaterThan(1);
  const { body } = (await api.post('/api/jobs/demo').expect(409)) as {
    body: { code: string; remedy: string };
  };
  expect(body).toMatchObject({ code: 'demo.not-empty', remedy: expect.stringContaining('empty') as string });
  expect(await names()).toEqual(jobs);
  await running.stop();
  rmSync(folder, { recursive: true });
});
