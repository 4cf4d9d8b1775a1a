import type { JobDocument, JobFile, JobSummary } from '@kobran/contract';
import { test as base, expect, type Page } from '@playwright/test';
import type { ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './seeded.js';
import { startServer } from './startServer.js';

/** A server on a fresh folder with the demo jobs, which can be killed and started again. */
export class Kobran {
  private child: ChildProcess | undefined;
  private readonly folder = mkdtempSync(join(tmpdir(), 'kobran-e2e-'));
  /** Files of the demo jobs, from which journeys take what they work on. */
  private readonly files = new Map<string, JobFile>();

  constructor(
    private readonly port: number,
    private readonly seeded = true,
    /** What else it is told at the start. */
    private readonly more: NodeJS.ProcessEnv = {},
  ) {
    const { KOBRAN_SEEDED } = process.env;
    if (KOBRAN_SEEDED && seeded) cpSync(KOBRAN_SEEDED, this.folder, { recursive: true });
  }

  static async running(seeded = true, more: NodeJS.ProcessEnv = {}): Promise<Kobran> {
    const kobran = new Kobran(await freePort(), seeded, more);
    await kobran.start();
    return kobran;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    this.child = await startServer(this.folder, this.port, this.seeded, this.more);
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
    for (const folder of [this.folder, `${this.folder}-bench`, `${this.folder}-certificate`])
      rmSync(folder, { recursive: true, force: true });
  }

  async ask<T>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await fetch(`${this.url}${path}`, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
    return (answer.status === 204 ? undefined : await answer.json()) as T;
  }

  /** A copy of the demo job which has this run, as a job of its own. */
  async copyOf(runId: string): Promise<{ job: JobDocument; runId: string }> {
    const jobs = await this.ask<JobSummary[]>('GET', '/api/jobs');
    for (const { id } of jobs.filter((job) => job.id.startsWith(DEMO))) {
      const { runs } = await this.ask<JobDocument>('GET', `/api/jobs/${id}`);
      const at = runs.findIndex((run) => run.id === runId);
      if (at < 0) continue;
      const file = this.files.get(id) ?? (await this.ask<JobFile>('GET', `/api/jobs/${id}/file`));
      this.files.set(id, file);
      const job = await this.ask<JobDocument>('POST', '/api/jobs/import', file);
      return { job, runId: job.runs[at].id };
    }
    throw new Error(`no demo job has the run ${runId}`);
  }
}

const DEMO = '7a0e1d00-0000-4000-8000-00000000';

/** Runs of the demo by what they are about. */
const runIds = {
  vhf: `${DEMO}a001`,
  uhf: `${DEMO}a002`,
  hf: `${DEMO}a003`,
  data: `${DEMO}a004`,
  phasing: `${DEMO}a005`,
  weather: `${DEMO}a006`,
  tide: `${DEMO}a007`,
  goBag: `${DEMO}a008`,
  jumpers: `${DEMO}a009`,
};
export type DemoRun = keyof typeof runIds;

/** Where the runs of the demo are: for tests which only look, and for those with a server of their own. */
export const demo = Object.fromEntries(
  Object.entries(runIds).map(([name, id]) => [name, `/runs/${id}`]),
) as Record<DemoRun, string>;

interface Site {
  /** Address of the copied run. */
  path: string;
  job: JobDocument;
}

/** Journeys of one worker share a server; each works on a job of its own, made through the API. */
export const test = base.extend<{ site: (run: DemoRun) => Promise<Site> }, { shared: Kobran }>({
  shared: [
    async ({ browserName: _ }, use) => {
      const kobran = await Kobran.running();
      await use(kobran);
      await kobran.remove();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ shared }, use) => use(shared.url),
  site: async ({ shared }, use) => {
    const made = new Map<DemoRun, Site>();
    await use(async (run) => {
      const known = made.get(run);
      if (known) return known;
      const { job, runId } = await shared.copyOf(runIds[run]);
      const site = { job, path: `/runs/${runId}` };
      made.set(run, site);
      return site;
    });
    for (const { job } of made.values()) await shared.ask('DELETE', `/api/jobs/${job.id}`);
  },
});

/** For tests which kill, upgrade or fill a server, or change what the whole shop shares: with one of their own. */
export const alone = base.extend<{ kobran: Kobran }>({
  kobran: async ({ browserName: _ }, use) => {
    const kobran = await Kobran.running();
    await use(kobran);
    await kobran.remove();
  },
  baseURL: async ({ kobran }, use) => use(kobran.url),
});

/** For the first minute: an empty Kobran, without the demo. */
export const empty = base.extend({
  baseURL: async ({ browserName: _ }, use) => {
    const kobran = await Kobran.running(false);
    await use(kobran.url);
    await kobran.remove();
  },
});

export { expect };

/** Waits until everything entered is on the server. */
export const saved = (page: Page): Promise<void> =>
  expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
