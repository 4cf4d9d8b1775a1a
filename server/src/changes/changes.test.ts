import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tarrowmere } from '../demo/tarrowmere.js';
import { demoServer } from '../demoServer.fixture.js';

const { api, app } = demoServer();
const [job] = tarrowmere;
const [run] = job.runs;

/** Reads server-sent events (HTML standard, 9.2) from a connection of its own. */
class Reader {
  readonly told: string[] = [];
  private readonly stop = new AbortController();

  async open(url: string): Promise<void> {
    const answer = await fetch(url, { signal: this.stop.signal });
    expect(answer.headers.get('content-type')).toContain('text/event-stream');
    void this.read(answer).catch(() => undefined);
  }

  private async read({ body }: Response): Promise<void> {
    let text = '';
    for await (const chunk of body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(chunk);
      const events = text.split('\n\n');
      text = events.pop() ?? '';
      for (const event of events) {
        const data = /^data: (.*)$/m.exec(event)?.[1];
        if (data) this.told.push(data);
      }
    }
  }

  close(): void {
    this.stop.abort();
  }
}

describe('what others change', () => {
  const reader = new Reader();
  beforeAll(async () => {
    const server = app().getHttpServer();
    if (!server.listening) await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    await reader.open(`http://127.0.0.1:${(server.address() as AddressInfo).port}/api/changes`);
  });
  afterAll(() => reader.close());

  const note = () => ({
    id: randomUUID(),
    kind: 'note',
    about: '',
    text: 'seen',
    by: 'Joss',
    at: new Date().toISOString(),
  });

  it.each<[string, () => Promise<unknown>, string]>([
    ['a fact', () => api().post(`/api/runs/${run.id}/facts`).send(note()).expect(204), `run ${run.id}`],
    [
      'a design',
      () => api().put(`/api/runs/${run.id}`).send({ version: 1, design: run.design }).expect(200),
      `run ${run.id}`,
    ],
    [
      'a job',
      () =>
        api()
          .put(`/api/jobs/${job.id}`)
          .send({ version: 1, name: 'Another', site: job.site, practice: job.practice })
          .expect(200),
      `job ${job.id}`,
    ],
    ['an entry of the shop', () => api().delete('/api/shop/reel/drum-8').expect(204), 'shop'],
  ])('%s is told within two seconds', async (_, act, told) => {
    const before = reader.told.length;
    await act();
    await expect.poll(() => reader.told.slice(before), { timeout: 2000 }).toContain(told);
  });
});
