import type { JobDocument, JobFile, RunDocument, SignedDesign } from '@kobran/contract';
import { checkLog, documentHash, type Design, type KeptLog, type LogCheck } from '@kobran/core';
import { eq, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { chainOlder } from '../database/chainOlder.js';
import { DATABASE } from '../database/database.module.js';
import type { Database } from '../database/drivers.js';
import { facts, logs } from '../database/schema.js';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';

const { api, app } = demoServer();
const database = (): Database => app().get<Database>(DATABASE);
const [brackwater] = tarrowmere;
const [vhf] = brackwater.runs;

const log = async (id: string): Promise<KeptLog> =>
  (await api().get(`/api/runs/${id}/log`).expect(200)).body as KeptLog;
const check = async (id: string): Promise<LogCheck> => checkLog(await log(id));
const note = (text: string) => ({
  id: randomUUID(),
  kind: 'note',
  by: 'Wenna',
  at: new Date().toISOString(),
  about: '',
  text,
});
/** A run of its own, with a sound design and some notes. */
async function someRun(notes: number): Promise<string> {
  const id = randomUUID();
  await api().post(`/api/jobs/${brackwater.id}/runs`).send({ id, design: vhf.design }).expect(201);
  for (let k = 0; k < notes; k++)
    await api()
      .post(`/api/runs/${id}/facts`)
      .send(note(`number ${k}`))
      .expect(204);
  return id;
}

describe('the chained log of a run', () => {
  it('the demo’s is sound, and so is an empty one', async () => {
    // Two photos are put in where the demo is seeded.
    expect(await check(vhf.id)).toMatchObject({ sound: true, entries: vhf.facts.length + 2 });
    expect(await check(await someRun(0))).toMatchObject({ sound: true, entries: 0 });
  });

  it('many at once stand in one chain, each once', async () => {
    const id = await someRun(0);
    const sent = Array.from({ length: 20 }, (_, k) => note(`at once ${k}`));
    await Promise.all(
      [...sent, ...sent].map((one) => api().post(`/api/runs/${id}/facts`).send(one).expect(204)),
    );
    expect(await check(id)).toMatchObject({ sound: true, entries: sent.length });
  });

  it('what is written as the moment of a place far away is the same moment', async () => {
    const id = await someRun(0);
    await api()
      .post(`/api/runs/${id}/facts`)
      .send({ ...note('far away'), at: '2026-11-26T10:00:00+02:00' })
      .expect(204);
    expect(await check(id)).toMatchObject({ sound: true, entries: 1 });
  });

  it.each<[string, (id: string) => Promise<unknown>, number]>([
    [
      'words changed',
      (id) =>
        database().execute(
          sql`update facts set body = jsonb_set(body, '{text}', '"another"') where run_id = ${id} and body->>'text' = 'number 1'`,
        ),
      2,
    ],
    [
      'another name put under it',
      (id) =>
        database().execute(
          sql`update facts set by = 'Joss' where run_id = ${id} and body->>'text' = 'number 2'`,
        ),
      3,
    ],
    [
      'one taken out',
      (id) => database().execute(sql`delete from facts where run_id = ${id} and body->>'text' = 'number 0'`),
      1,
    ],
    [
      'the last one taken out',
      (id) => database().execute(sql`delete from facts where run_id = ${id} and body->>'text' = 'number 3'`),
      4,
    ],
  ])('%s in the database is found', async (_, spoil, entry) => {
    const id = await someRun(4);
    expect((await check(id)).sound).toBe(true);
    await spoil(id);
    expect(await check(id)).toMatchObject({ sound: false, entry });
    // It goes on all the same, and stays broken where it is.
    await api().post(`/api/runs/${id}/facts`).send(note('later')).expect(204);
    expect(await check(id)).toMatchObject({ sound: false, entry });
  });

  it('rows of an older Kobran are chained once, and stay as they are', async () => {
    const id = await someRun(3);
    const before = await log(id);
    await database().update(facts).set({ hash: null }).where(eq(facts.runId, id));
    await database().delete(logs).where(eq(logs.runId, id));
    await chainOlder(database());
    await chainOlder(database());
    expect(await log(id)).toEqual(before);
  });

  it('travels in the job’s file, and what was broken there is broken here', async () => {
    const file = (await api().get(`/api/jobs/${brackwater.id}/file`).expect(200)).body as JobFile;
    const sent = (one: JobFile) => api().post('/api/jobs/import').send(one).expect(201);
    const whole = (await sent(file)).body as JobDocument;
    const head = (await log(vhf.id)).head;
    expect(await check(whole.runs[0].id)).toMatchObject({ sound: true, head });
    const spoilt = structuredClone(file);
    (spoilt.runs[0].facts[2] as { by: string }).by = 'Somebody';
    const came = (await sent(spoilt)).body as JobDocument;
    expect(await check(came.runs[0].id)).toMatchObject({ sound: false, entry: 3 });
  });
});

describe('signing', () => {
  const signature = (design: Design, over: object = {}) => ({
    id: randomUUID(),
    kind: 'handed over',
    by: 'Wenna',
    at: new Date().toISOString(),
    design: documentHash(design),
    reason: 'a test signs early',
    ...over,
  });
  const read = async (id: string): Promise<RunDocument> =>
    (await api().get(`/api/runs/${id}`)).body as RunDocument;
  const sign = (id: string, fact: object) => api().post(`/api/runs/${id}/facts`).send(fact);

  it('freezes the design: a later change does not touch it, and the signature is of one design only', async () => {
    const id = await someRun(0);
    const { design, version } = await read(id);
    const kept = signature(design);
    await sign(id, kept).expect(204);
    await sign(id, kept).expect(204);
    const changed = { ...design, name: 'Changed since' };
    await api().put(`/api/runs/${id}`).send({ version, design: changed }).expect(200);
    const revisions = (await api().get(`/api/runs/${id}/revisions`).expect(200)).body as SignedDesign[];
    expect(revisions).toEqual([{ hash: documentHash(design), design }]);
    // Who looked at the run before it was changed signs something that is not there any more.
    const response = await sign(id, signature(design, { by: 'Joss' })).expect(409);
    expect(response.body).toMatchObject({ code: 'handover.changed' });
    await sign(id, signature(changed)).expect(204);
    expect(((await api().get(`/api/runs/${id}/revisions`)).body as unknown[]).length).toBe(2);
    // Both go with the job’s file, and come back.
    const file = (await api().get(`/api/jobs/${brackwater.id}/file`).expect(200)).body as JobFile;
    const came = (await api().post('/api/jobs/import').send(file).expect(201)).body as JobDocument;
    const again = came.runs.find((one) => one.design.name === 'Changed since');
    const there = (await api().get(`/api/runs/${again?.id}/revisions`).expect(200)).body as SignedDesign[];
    expect(there.map(({ hash }) => hash).toSorted()).toEqual(
      [documentHash(design), documentHash(changed)].toSorted(),
    );
  });

  it('nobody signs one state twice', async () => {
    const id = await someRun(0);
    const { design } = await read(id);
    await sign(id, signature(design)).expect(204);
    expect((await sign(id, signature(design)).expect(409)).body).toMatchObject({
      code: 'handover.signed-twice',
    });
    await sign(id, signature(design, { by: 'Joss' })).expect(204);
  });
});
