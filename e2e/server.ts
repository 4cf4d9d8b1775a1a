import { test as base, expect, type Page } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './seeded.js';
import { startServer } from './startServer.js';

/** A Kobran of its own for each test: a fresh folder with the demo jobs, which can be killed and started again. */
export class Kobran {
  private child: ChildProcess | undefined;
  private readonly folder = mkdtempSync(join(tmpdir(), 'kobran-e2e-'));
  constructor(private readonly port: number) {
    const { KOBRAN_SEEDED } = process.env;
    if (KOBRAN_SEEDED) cpSync(KOBRAN_SEEDED, this.folder, { recursive: true });
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    this.child = await startServer(this.folder, this.port);
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
    for (const folder of [this.folder, `${this.folder}-bench`])
      rmSync(folder, { recursive: true, force: true });
  }
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
