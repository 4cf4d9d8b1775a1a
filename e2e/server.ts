import { test as base, expect, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A Kobran of its own for each test: a fresh folder with the demo jobs, which can be killed and started again. */
export class Kobran {
  private child: ChildProcess | undefined;
  private readonly folder = mkdtempSync(join(tmpdir(), 'kobran-e2e-'));
  constructor(private readonly port: number) {}

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    this.child = spawn(process.execPath, ['server/dist/main.js'], {
      env: {
        ...process.env,
        PORT: String(this.port),
        KOBRAN_DATA: this.folder,
        KOBRAN_DEMO: '1',
        KOBRAN_LOG: 'warn',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    if (!this.child.stdout) throw new Error('no output of the server');
    for await (const chunk of this.child.stdout) if (String(chunk).includes('Kobran is at')) return;
    throw new Error('the server ended before it listened');
  }

  /** kill -9: no chance to tidy up. */
  async kill(): Promise<void> {
    if (!this.child || this.child.exitCode !== null || this.child.signalCode !== null) return;
    const ended = once(this.child, 'exit');
    this.child.kill('SIGKILL');
    await ended;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

async function freePort(): Promise<number> {
  const probe = createServer();
  probe.listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const address = probe.address();
  probe.close();
  if (typeof address !== 'object' || !address) throw new Error('no port');
  return address.port;
}

export const test = base.extend<{ kobran: Kobran }>({
  kobran: async ({ browserName: _ }, use) => {
    const kobran = new Kobran(await freePort());
    await kobran.start();
    await use(kobran);
    await kobran.remove();
  },
  baseURL: async ({ kobran }, use) => use(kobran.url),
});

export { expect };

/** Runs of the demo by what they are about. */
export const demo = {
  vhf: '/runs/7a0e1d00-0000-4000-8000-00000000a001',
  uhf: '/runs/7a0e1d00-0000-4000-8000-00000000a002',
  hf: '/runs/7a0e1d00-0000-4000-8000-00000000a003',
  data: '/runs/7a0e1d00-0000-4000-8000-00000000a004',
  phasing: '/runs/7a0e1d00-0000-4000-8000-00000000a005',
  weather: '/runs/7a0e1d00-0000-4000-8000-00000000a006',
  tide: '/runs/7a0e1d00-0000-4000-8000-00000000a007',
  goBag: '/runs/7a0e1d00-0000-4000-8000-00000000a008',
};

/** Waits until everything entered is on the server. */
export const saved = (page: Page): Promise<void> =>
  expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
