import { PGlite } from '@electric-sql/pglite';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { extensions } from '../server/src/database/extensions.js';
import { ask, percentile, startKobran, stopKobran } from './clients.js';

/**
 * The board and its search with 20 000 runs in 2 000 sites beside the same with those of the demo: `npm run many` after a build. Ratios of one
 * run on one machine count, not its milliseconds.
 */

const SITES = Number(process.env.SITES ?? 2_000);
const RUNS_OF_SITE = 10;
const TIMES = 40;

const medianOf = async (act: () => Promise<unknown>): Promise<number> => {
  const times: number[] = [];
  for (let k = 0; k < TIMES; k++) {
    const from = performance.now();
    await act();
    times.push(performance.now() - from);
  }
  return Number(percentile(times, 0.5).toFixed(1));
};

/** Copies of the demo’s runs, each under a name of its own. */
async function multiply(folder: string): Promise<void> {
  const engine = await PGlite.create(join(folder, 'database'), { extensions });
  await engine.exec(`
    create table few as select design from runs order by came;
    insert into jobs (id, name, site, practice)
      select gen_random_uuid(), 'Site ' || n, 'Valley ' || n % 97, (select practice from jobs order by came limit 1)
      from generate_series(1, ${SITES}) n;
    insert into runs (id, job_id, design)
      select gen_random_uuid(), j.id, jsonb_set(f.design, '{name}', to_jsonb('Run ' || k || ' of ' || j.name))
        - 'route'
      from jobs j, generate_series(1, ${RUNS_OF_SITE}) k,
        lateral (select design from few where design ->> 'schema' is not null offset k % 9 limit 1) f
      where j.name like 'Site %';
    drop table few;`);
  await engine.close();
}

/** Has every summary made again, and waits for the last one. @returns how many there are */
async function rebuild(address: string): Promise<number> {
  const { runs } = JSON.parse((await ask(address, 'POST', '/api/board/rebuild')).text) as { runs: number };
  for (;;) {
    const { text } = await ask(address, 'GET', '/api/board?search=nowhere');
    if ((JSON.parse(text) as { workingOut: number }).workingOut === 0) return runs;
    await setTimeout(1_000);
  }
}

const folder = mkdtempSync(join(tmpdir(), 'kobran-many-'));
try {
  const env = { KOBRAN_DATA: folder, KOBRAN_DEMO: '1' };
  let kobran = await startKobran(env);
  const get = async (path: string): Promise<void> => {
    const { status } = await ask(kobran.address, 'GET', path);
    if (status !== 200) throw new Error(`${path}: ${status}`);
  };
  const searches = ['site 1234', '10 mm low-loss', 'valley 13 mast', 'nowhere to be found', 'mistypd'];
  const searched = async (): Promise<Record<string, number>> => {
    const found: Record<string, number> = {};
    for (const words of searches)
      found[`search ${words}, ms`] = await medianOf(() =>
        get(`/api/board?search=${encodeURIComponent(words)}`),
      );
    return found;
  };
  const measure = async (): Promise<Record<string, number>> => ({
    'first page of 11, ms': await medianOf(() => get('/api/board?most=11')),
    'first page, ms': await medianOf(() => get('/api/board')),
    ...(await searched()),
    'filter stop, ms': await medianOf(() => get('/api/board?problem=stop')),
    'people, ms': await medianOf(() => get('/api/people')),
    'inspections, ms': await medianOf(() => get('/api/inspections?soon=true')),
  });
  await rebuild(kobran.address);
  const few = await measure();
  await stopKobran(kobran);
  await multiply(folder);
  kobran = await startKobran(env);
  const from = performance.now();
  const runs = await rebuild(kobran.address);
  const rebuildS = Math.round((performance.now() - from) / 1000);
  const many = await measure();
  await stopKobran(kobran);
  console.log(`${runs} runs; all summaries worked out in ${rebuildS} s.`);
  console.table(
    Object.fromEntries(
      Object.keys(few).map((name) => [
        name,
        { demo: few[name], [`${runs} runs`]: many[name], ratio: Number((many[name] / few[name]).toFixed(2)) },
      ]),
    ),
  );
} finally {
  rmSync(folder, { recursive: true, force: true });
}
