import type {
  ApiProblem,
  BoardPage,
  BoardQuery,
  DueInspection,
  JobDocument,
  RunDocument,
  RunSheet,
} from '@kobran/contract';
import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { DATABASE } from '../database/database.module.js';
import type { Database } from '../database/database.js';
import { demoServer } from '../demoServer.fixture.js';
import { tarrowmere } from '../demo/tarrowmere.js';

const { api, app } = demoServer();
const [brackwater, osterCrag, saltpan] = tarrowmere;
const [voice] = brackwater.runs;
const allRuns = tarrowmere.flatMap(({ runs }) => runs);

const page = async (query: BoardQuery = {}): Promise<BoardPage> =>
  (await api().get('/api/board').query(query).expect(200)).body as BoardPage;
const found = async (query: BoardQuery): Promise<string[]> =>
  (await page(query)).rows.map(({ run }) => run?.id ?? 'no run');
const summaryOf = async (id: string) => (await page()).rows.find(({ run }) => run?.id === id)?.run?.summary;
const sheetOf = async (id: string): Promise<RunSheet> =>
  (await api().get(`/api/runs/${id}/sheet`).expect(200)).body as RunSheet;
const note = (text: string, by = 'Joss') => ({
  id: randomUUID(),
  kind: 'note',
  about: '',
  text,
  by,
  at: new Date().toISOString(),
});
const db = (): Database => app().get<Database>(DATABASE);

describe('the board', () => {
  it('says of every run what the run itself says', async () => {
    const { rows, next } = await page();
    expect(rows.map(({ run }) => run?.id)).toEqual(allRuns.map(({ id }) => id));
    expect(next).toBeUndefined();
    for (const { run } of rows) {
      const sheet = await sheetOf(run?.id ?? '');
      expect(run?.summary).toMatchObject({
        headline: sheet.headline,
        passes: sheet.passes,
        next: sheet.next,
        stages: sheet.stages.map(({ id, state }) => ({ id, state })),
      });
      expect(run?.summary?.worst?.what).toBe(sheet.snags.at(0)?.what);
      expect(run?.summary?.line.totalM).toBeCloseTo(sheet.totalM, 3);
    }
  });

  it('comes page by page: every run once, in its order, however long a page is', async () => {
    for (const most of [1, 3, 4, 200]) {
      const seen: string[] = [];
      let after: string | undefined;
      do {
        const { rows, next } = await page({ most, ...(after ? { after } : {}) });
        seen.push(...rows.map(({ run }) => run?.id ?? ''));
        expect(rows.length).toBeLessThanOrEqual(most);
        after = next;
      } while (after);
      expect(seen, `pages of ${most}`).toEqual(allRuns.map(({ id }) => id));
    }
  });

  it('has a line for a job without runs, once', async () => {
    const id = randomUUID();
    await api().post('/api/jobs').send({ id, name: 'Heron Weir', site: '' }).expect(201);
    const { rows, next } = await page({ job: id });
    expect(rows).toEqual([{ job: { id, name: 'Heron Weir', site: '' } }]);
    expect(next).toBeUndefined();
    await api().delete(`/api/jobs/${id}`).expect(204);
    expect((await page({ job: id })).rows).toEqual([]);
  });

  it('refuses what it cannot be asked for, with the place', async () => {
    for (const query of [{ after: '1;2' }, { most: 0 }, { due: 'never' }, { search: 'x'.repeat(121) }]) {
      const refused = (await api().get('/api/board').query(query).expect(400)).body as ApiProblem;
      expect(refused.where).toBe(Object.keys(query)[0]);
    }
  });
});

describe('a run is found', () => {
  it.each<[string, BoardQuery, (ids: string[]) => void]>([
    [
      'by a part of its name',
      { search: 'repeater fee' },
      (ids) => expect(ids).toEqual([osterCrag.runs[2].id]),
    ],
    [
      'by its job and its name together',
      { search: 'oster upper' },
      (ids) => expect(ids).toEqual([osterCrag.runs[0].id]),
    ],
    [
      'by its cable as the trade calls it',
      { search: '400 class' },
      (ids) => expect(ids.length).toBeGreaterThan(0),
    ],
    [
      'by its problem in another form of the word',
      { search: 'starting outdoors' },
      (ids) => expect(ids).toContain(osterCrag.runs[0].id),
    ],
    ['with signs of a pattern taken for letters', { search: '%_' }, (ids) => expect(ids).toEqual([])],
    [
      'by who has signed something of it',
      { person: 'Wenna' },
      (ids) => expect(ids.length).toBeGreaterThan(0),
    ],
  ])('%s', async (_, query, check) => check(await found(query)));

  it('though it is mistyped, and that is said', async () => {
    const { rows, near } = await page({ search: 'repeter' });
    expect(near).toBe(true);
    expect(rows.map(({ run }) => run?.id)).toContain(osterCrag.runs[2].id);
    expect(await page({ search: 'xylophone quartz' })).toEqual({ rows: [], workingOut: 0 });
  });

  it('by what is wrong with it, by what comes next, and by both', async () => {
    const all = (await page()).rows.flatMap(({ run }) =>
      run?.summary ? [{ id: run.id, ...run.summary }] : [],
    );
    for (const problem of ['stop', 'caution', 'none'] as const)
      expect(await found({ problem })).toEqual(
        all.filter(({ worst }) => (worst?.level ?? 'none') === problem).map(({ id }) => id),
      );
    const [{ next }] = all;
    expect(await found({ stage: next.stage, problem: 'caution' })).toEqual(
      all
        .filter((one) => one.next.stage === next.stage && one.worst?.level === 'caution')
        .map(({ id }) => id),
    );
    expect(await found({ due: 'overdue' })).toEqual(
      all
        .filter(({ looks }) => looks.some(({ due }) => Date.parse(due) < Date.now() - 864e5))
        .map(({ id }) => id),
    );
  });
});

describe('a summary is never of what stood before', () => {
  const cases: [string, () => Promise<unknown>][] = [
    [
      'a design is replaced',
      async () => {
        const { version, design } = (await api().get(`/api/runs/${voice.id}`)).body as RunDocument;
        const renamed = { ...design, name: 'Another name', service: { ...design.service, lossBudgetDb: 9 } };
        await api().put(`/api/runs/${voice.id}`).send({ version, design: renamed }).expect(200);
      },
    ],
    [
      'a fact comes',
      () =>
        api()
          .post(`/api/runs/${voice.id}/facts`)
          .send({
            ...note('x'),
            kind: 'cut',
            pieceId: 'main',
            lengthM: 21.66,
            text: undefined,
            about: undefined,
          })
          .expect(204),
    ],
  ];
  it.each(cases)('%s', async (_, change) => {
    const before = await summaryOf(voice.id);
    await change();
    const sheet = await sheetOf(voice.id);
    const after = await summaryOf(voice.id);
    expect(after?.headline).toBe(sheet.headline);
    expect(after).not.toEqual(before);
    expect(after?.stages).toMatchObject(sheet.stages.map(({ id, state }) => ({ id, state })));
  });

  it('the practice and the name of its job change', async () => {
    const due = async () =>
      ((await api().get('/api/inspections').expect(200)).body as DueInspection[]).filter(
        ({ jobId }) => jobId === saltpan.id,
      );
    const [before] = await due();
    const job = (await api().get(`/api/jobs/${saltpan.id}`)).body as JobDocument;
    const practice = { ...job.practice, inspectionMonths: { salt: 60 } };
    const { version, site } = job;
    await api().put(`/api/jobs/${job.id}`).send({ version, name: 'Grebe Jetty', site, practice }).expect(200);
    const [after] = await due();
    expect(before.overdue).toBe(true);
    expect(after.overdue).toBe(false);
    expect(after.job).toBe('Grebe Jetty');
    expect(await found({ search: 'grebe' })).toEqual(saltpan.runs.map(({ id }) => id));
  });

  it('nor when somebody else wrote into the database', async () => {
    await db().execute(
      sql`update runs set design = jsonb_set(design, '{name}', '"By another hand"'), version = version + 1 where id = ${voice.id}`,
    );
    expect((await summaryOf(voice.id))?.name).toBe('By another hand');
    await expect.poll(() => found({ search: 'another hand' })).toEqual([voice.id]);
  });

  it('a run which cannot be read says why, and the others stand', async () => {
    const spoilt = allRuns[1].id;
    await db().execute(
      sql`update runs set design = '{"schema":"gone"}', version = version + 1 where id = ${spoilt}`,
    );
    const { rows } = await page();
    expect(rows).toHaveLength(allRuns.length);
    const row = rows.find(({ run }) => run?.id === spoilt);
    expect(row?.run?.summary).toBeUndefined();
    expect(row?.run?.fault).toContain('cannot be read');
  });

  it('all of them are made again by one command, and say the same', async () => {
    const before = await page();
    expect((await api().post('/api/board/rebuild').expect(200)).body).toEqual({ runs: allRuns.length });
    expect(await page()).toEqual(before);
  });
});
