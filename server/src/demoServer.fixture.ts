import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { afterAll, beforeAll } from 'vitest';
import { createApp, type RunningApp } from './app.js';
import type { Config } from './config.js';

/** A server of its own, whose things all lie in one folder. */
export const configIn = (folder: string, over: Partial<Config> = {}): Config => ({
  port: 0,
  database: { folder },
  demo: false,
  webFolder: '/nowhere',
  logLevel: 'silent',
  backupFolder: join(folder, 'backups'),
  benchFolder: join(folder, 'on-the-bench'),
  instrumentHosts: [],
  signIn: 'elsewhere',
  ...over,
});

/** A server with the demo jobs, in a folder of its own, for the tests of one file. */
export function demoServer(): {
  api: () => ReturnType<typeof request>;
  app: () => RunningApp['app'];
  folder: string;
} {
  const folder = mkdtempSync(join(tmpdir(), 'kobran-test-'));
  let running: RunningApp;
  beforeAll(async () => {
    running = await createApp(configIn(folder, { demo: true }));
  });
  afterAll(async () => {
    await running.stop();
    rmSync(folder, { recursive: true });
  });
  return { api: () => request(running.app.getHttpServer()), app: () => running.app, folder };
}
