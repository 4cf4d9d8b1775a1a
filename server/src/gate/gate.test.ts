import type { ApiProblem, JobFile } from '@kobran/contract';
import express from 'express';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import request from 'supertest';
import type { Response } from 'supertest';
import { describe, expect, it } from 'vitest';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';
import { notTooMany } from './notTooMany.js';
import { freeBytes, onlyWithRoom } from './roomOnDisk.js';

const { api } = demoServer();
const [brackwater] = tarrowmere;
const [first, second] = brackwater.runs;
const code = ({ body }: Response): string => (body as ApiProblem).code;
const job = (over: object = {}) => ({ id: randomUUID(), name: 'Test', site: '', ...over });

describe('who may write', () => {
  // Fetch standard, 3.1: a browser names the origin of the page, or `null` where it has none to name.
  it.each(['https://elsewhere.example', 'null', 'http://localhost:1'])('not a page of %s', async (origin) => {
    const response = await api().post('/api/jobs').set('Origin', origin).send(job());
    expect([response.status, code(response)]).toEqual([403, 'origin.refused']);
  });

  it('not even without a body, and not where the browser names only the kind of site', async () => {
    const restore = `/api/runs/${first.id}/restore`;
    await api().post(restore).set('Origin', 'https://elsewhere.example').expect(403);
    await api().post(restore).set('Sec-Fetch-Site', 'cross-site').expect(403);
  });

  it('its own page, and a program which is no browser', async () => {
    const host = 'localhost:4780';
    await api().post('/api/jobs').set('Host', host).set('Origin', `http://${host}`).send(job()).expect(201);
    await api().post('/api/jobs').send(job()).expect(201);
  });

  it('anybody of this machine may read', () =>
    api().get('/api/jobs').set('Origin', 'https://elsewhere.example').expect(200));
});

describe('what a request may carry', () => {
  it('a practice of 100 kB is refused before it is looked at; a design of 100 kB is not', async () => {
    const crew = Array.from({ length: 20_000 }, () => 'Joss');
    const large = await api().put('/api/practice').send({ version: 1, practice: { crew } });
    expect([large.status, code(large)]).toEqual([413, 'body.too-large']);
    const design = await api()
      .put(`/api/runs/${first.id}`)
      .send({ version: 1, design: { name: 'x'.repeat(100_000) } });
    expect(design.status).toBe(400);
  });

  it('nesting without end, NUL and half a pair are refused with their place', async () => {
    const deep = `${'{"a":'.repeat(2000)}1${'}'.repeat(2000)}`;
    const nested = await api().post('/api/jobs').set('Content-Type', 'application/json').send(deep);
    expect([nested.status, code(nested)]).toEqual([400, 'body.too-deep']);
    for (const name of ['a\u0000b', 'a\ud800b']) {
      const broken = await api().post('/api/jobs').send(job({ name }));
      expect([broken.status, code(broken), (broken.body as ApiProblem).where]).toEqual([
        400,
        'text.unkeepable',
        'name',
      ]);
    }
    // A whole pair is a letter like any other.
    await api()
      .post('/api/jobs')
      .send(job({ name: '𝄞' }))
      .expect(201);
  });

  // Found by chance: a name which the language itself uses ended in a 500.
  it.each(['constructor', '__proto__', 'prototype'])(
    'a property %s is refused with its place',
    async (key) => {
      for (const path of [`/api/jobs`, '/api/jobs/import', `/api/runs/${first.id}/facts`]) {
        const text = `{"a":{"${key}":"x"}}`;
        const response = await api().post(path).set('Content-Type', 'application/json').send(text);
        expect([response.status, (response.body as ApiProblem).where]).toEqual([400, `a.${key}`]);
      }
    },
  );

  it.each<[string, object, string]>([
    ['properties', Object.fromEntries(Array.from({ length: 50_000 }, (_, k) => [`k${k}`, 1])), 'body'],
    ['items', { design: { pieces: Array.from({ length: 50_000 }, () => ({})) } }, 'design.pieces'],
    ['parts', { design: Array.from({ length: 10 }, () => Array.from({ length: 10_001 }, () => [])) }, 'body'],
  ])('more %s than any document has are refused before they are looked at', async (_, body, where) => {
    const response = await api()
      .put(`/api/runs/${first.id}`)
      .send({ version: 1, ...body });
    expect([response.status, code(response), (response.body as ApiProblem).where]).toEqual([
      400,
      'body.too-many',
      where,
    ]);
  });

  it('says twenty complaints at most', async () => {
    const keys = Object.fromEntries(Array.from({ length: 500 }, (_, k) => [`no${k}`, 1]));
    const response = await api().post('/api/jobs').send(job(keys));
    expect(response.status).toBe(400);
    expect((response.body as ApiProblem).others).toHaveLength(19);
  });
});

describe('who asks too often', () => {
  // RFC 6585, 4: 429, and when to come again.
  it('waits, while others are answered', async () => {
    const app = express();
    app.use(notTooMany(5));
    app.use((_, response) => response.status(204).end());
    const ask = (name: string) => request(app).get('/').set('User-Agent', name);
    for (let k = 0; k < 5; k++) await ask('mad script').expect(204);
    const refused = await ask('mad script');
    expect([refused.status, code(refused)]).toEqual([429, 'caller.too-often']);
    expect(Number(refused.headers['retry-after'])).toBeGreaterThan(0);
    await ask('browser').expect(204);
  });
});

describe('room on the disk', () => {
  it('writes are refused with words while there is none, reading goes on, and all goes on when there is room again', async () => {
    let free = 20e6;
    const app = express();
    app.use(onlyWithRoom(() => Promise.resolve(free)));
    app.use((_, response) => response.status(204).end());
    await request(app).get('/').expect(204);
    const full = await request(app).post('/');
    expect([full.status, code(full)]).toEqual([507, 'disk.full']);
    expect((full.body as ApiProblem).message).toContain('19 MB left');
    free = 5e9;
    await expect.poll(async () => (await request(app).post('/')).status, { timeout: 60_000 }).toBe(204);
  });

  it('is asked of the disk itself', async () => expect(await freeBytes(tmpdir())).toBeGreaterThan(1e6));
});

describe('nothing is dropped in silence', () => {
  it('a fact under an id which another run has is refused; its own twice is kept once', async () => {
    const fact = {
      id: randomUUID(),
      kind: 'note',
      about: '',
      text: 'mine',
      by: '',
      at: new Date().toISOString(),
    };
    await api().post(`/api/runs/${first.id}/facts`).send(fact).expect(204);
    await api().post(`/api/runs/${first.id}/facts`).send(fact).expect(204);
    const other = await api().post(`/api/runs/${second.id}/facts`).send(fact);
    expect([other.status, code(other)]).toEqual([409, 'fact.id-taken']);
  });

  it('a job whose import fails half way leaves nothing of it on the shelf', async () => {
    const file = (await api().get(`/api/jobs/${brackwater.id}/file`).expect(200)).body as JobFile;
    const entry = { kind: 'port', data: { ...portOf(file), id: 'left-over' } };
    const [trace] = file.runs.flatMap(({ traces = [] }) => traces);
    // Fits every rule and none of the database: a moment beyond its calendar.
    const runs = [{ ...file.runs[0], facts: [], traces: [{ ...trace, at: '+290000-01-01T00:00:00.000Z' }] }];
    const response = await api()
      .post('/api/jobs/import')
      .send({ ...file, catalog: [entry], runs });
    expect(response.status).toBeGreaterThanOrEqual(400);
    const shop = JSON.stringify((await api().get('/api/shop').expect(200)).body);
    expect(shop).not.toContain('left-over');
  });
});

const portOf = (_: JobFile): object => ({
  name: 'Left over',
  side: 'radio',
  face: 'n-jack',
  lowHz: 1e6,
  highHz: 2e6,
  powerW: 1,
  handheld: false,
  swr: 1,
  dcShort: false,
  matings: 0,
});
