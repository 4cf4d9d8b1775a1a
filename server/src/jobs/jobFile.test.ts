import type { ApiProblem, JobDocument, JobFile, JobSummary } from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';
import { assembled, NotJson } from './assembled.js';

const { api, app } = demoServer();
const [job] = tarrowmere;

const exported = async (id: string): Promise<JobFile> =>
  (await api().get(`/api/jobs/${id}/file`).expect(200)).body as JobFile;
const imported = async (file: object, id: string = randomUUID()): Promise<JobDocument> =>
  (await api().post(`/api/jobs/import?id=${id}`).send(file).expect(201)).body as JobDocument;
const names = async (): Promise<string[]> =>
  ((await api().get('/api/jobs').expect(200)).body as JobSummary[]).map(({ name }) => name);

/** What a round trip has to leave as it is: everything but the moment of the export and the ids of the rows. */
const lasting = ({ exportedAt: _, ...file }: JobFile): unknown =>
  JSON.parse(JSON.stringify(file, (key, value: unknown) => (key === 'id' ? undefined : value)));

async function* inPieces(text: string, size: number): AsyncIterable<Uint8Array> {
  const bytes = Buffer.from(text);
  for (let k = 0; k < bytes.length; k += size) yield await Promise.resolve(bytes.subarray(k, k + size));
}

describe('a job file', () => {
  it('comes back as it went, things of the same moment in their order', async () => {
    const file = await exported(job.id);
    const [run] = file.runs;
    expect(run.traces?.some(({ birth }) => birth)).toBe(true);
    const { at } = run.facts[0] as { at: string };
    const same = Array.from({ length: 40 }, (_, k) => ({
      kind: 'note',
      id: randomUUID(),
      about: '',
      text: `said at once ${k}`,
      by: '',
      at,
    }));
    const sent = { ...file, runs: [{ ...run, facts: [...run.facts, ...same] }, ...file.runs.slice(1)] };
    const first = await exported((await imported(sent)).id);
    const again = await exported((await imported(first)).id);
    expect(lasting(again)).toEqual(lasting(first));
    const said = first.runs[0].facts.flatMap((fact) =>
      'text' in fact && String(fact.text).startsWith('said at once') ? [fact.text] : [],
    );
    expect(said).toEqual(same.map(({ text }) => text));
    expect(first.runs[0].traces?.map(({ s11 }) => s11)).toEqual(run.traces?.map(({ s11 }) => s11));
  });

  it('sent again under its id makes no second job; nobody sees it before it is whole', async () => {
    const file = { ...(await exported(job.id)), name: 'Sent twice' };
    const id = randomUUID();
    const answers = await Promise.all([1, 2].map(() => api().post(`/api/jobs/import?id=${id}`).send(file)));
    // The second finds the first done, or still under way.
    for (const { status } of answers) expect([201, 409]).toContain(status);
    await imported(file, id);
    expect((await names()).filter((name) => name === 'Sent twice')).toHaveLength(1);
  });

  it('cut off on its way leaves nothing', async () => {
    const text = JSON.stringify({ ...(await exported(job.id)), name: 'Cut off' });
    const { port } = (app().getHttpServer().address() as AddressInfo | null) ?? { port: 0 };
    if (port === 0) await app().listen(0, '127.0.0.1');
    const address = app().getHttpServer().address() as AddressInfo;
    await new Promise<void>((resolve) => {
      const sending = httpRequest({
        host: '127.0.0.1',
        port: address.port,
        path: '/api/jobs/import',
        method: 'POST',
        headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) },
      });
      sending.on('error', () => resolve());
      sending.write(text.slice(0, text.length / 2), () => setTimeout(() => sending.destroy(), 50));
    });
    const half = await api()
      .post('/api/jobs/import')
      .set('Content-Type', 'application/json')
      .send(text.slice(0, text.length / 2));
    expect([half.status, (half.body as ApiProblem).code]).toEqual([400, 'body.not-json']);
    expect(await names()).not.toContain('Cut off');
  });

  it.each<[string, (file: JobFile) => unknown, string]>([
    [
      'a sweep with a sample too few',
      (file) => file.runs[0].traces?.[0].s11.re.pop(),
      'runs[0].traces[0].s11.re',
    ],
    [
      'a sample which is a word',
      (file) => file.runs[0].traces?.[1].s11.im.splice(0, 1, 'x' as never),
      'runs[0].traces[1].s11.im',
    ],
    ['a fact of no kind', (file) => file.runs[0].facts.push({ kind: 'gossip' }), 'kind'],
    ['a run without a design', (file) => Reflect.deleteProperty(file.runs[1], 'design'), 'runs[1].design'],
    [
      'sweeps that are no list',
      (file) => Object.assign(file.runs[0], { traces: { a: {} } }),
      'runs[0].traces',
    ],
    [
      'a moment after all calendars',
      (file) => Object.assign(file, { exportedAt: '9999-01-01T00:00:00Z' }),
      'exportedAt',
    ],
  ])('with %s is refused as a whole, with the place', async (_, spoil, where) => {
    const file = { ...(await exported(job.id)), name: 'Spoilt' };
    spoil(file);
    const response = await api().post('/api/jobs/import').send(file).expect(400);
    expect((response.body as ApiProblem).where).toContain(where);
    expect(await names()).not.toContain('Spoilt');
  });
});

describe('a text which comes in pieces', () => {
  // RFC 8259 and what JSON.parse makes of it.
  it.each([
    '{"a":[1,-0.5e3,"x\\u00e4\\n",{}],"b":null,"__proto__":{"c":true},"a":2}',
    '[[],[[]],{"":""}]',
    '"ä𝄞"',
    '-1e400',
  ])('%s is read as JSON.parse reads it, however it is cut', async (text) => {
    for (const size of [1, 2, 7, 1000])
      expect(await assembled(inPieces(text, size), () => false)).toEqual(JSON.parse(text));
  });

  it.each(['', '{', '[1,]', '{"a":1}}', 'nul', '[1 2]', '{"a"}', '"\u0001"'])(
    '%j is no JSON',
    async (text) => {
      await expect(assembled(inPieces(text, 3), () => false)).rejects.toThrow(NotJson);
    },
  );

  it('hands out what is asked for, with its place, and leaves it out', async () => {
    const taken: [string, unknown][] = [];
    const rest = await assembled(
      inPieces('{"a":[{"b":[{"k":1},{"k":2}]},{"b":[{"k":3}]}]}', 5),
      (path, value) => {
        if (path.length !== 4) return false;
        taken.push([path.join('.'), value]);
        return true;
      },
    );
    expect(taken).toEqual([
      ['a.0.b.0', { k: 1 }],
      ['a.0.b.1', { k: 2 }],
      ['a.1.b.0', { k: 3 }],
    ]);
    expect(rest).toEqual({ a: [{ b: [] }, { b: [] }] });
  });
});
