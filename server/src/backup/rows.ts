import { sql, type SQL } from 'drizzle-orm';
import type { Database } from '../database/database.js';

/** Rows of all tables as lines of JSON, out and in: the database writes and reads its own types. */

type Within = Pick<Database, 'execute'>;

/** Rows fetched or put in at once: nobody waits long for so many. */
const AT_ONCE = 200;
/** Tables which others point at come first; sweeps are large and come one by one. */
const FIRST = ['jobs', 'runs'];
const LARGE = 'traces';
/** Worked out of the others: in no backup, and empty after one was restored. */
const DERIVED = ['run_summaries', 'search_words'];

/** Who may come in: a backup holds the work and not the keys, and putting one back lets nobody in who was sent away since. */
const CREW = ['crew', 'crew_log', 'customer_links', 'invitations', 'members', 'sessions', 'sign_in_tries'];

/** A line of a backup: a row of a table, as the database itself writes it. */
export interface Line {
  table: string;
  row: string;
}

async function asked<T>(db: Within, query: SQL): Promise<T[]> {
  const { rows } = (await db.execute(query)) as { rows: T[] };
  return rows;
}

/** The tables of the work, in an order in which they can be filled. */
async function tablesOf(db: Within): Promise<string[]> {
  const rows = await asked<{ name: string }>(
    db,
    sql`select table_name as name from information_schema.tables
        where table_schema = 'public' and table_type = 'BASE TABLE' order by table_name`,
  );
  const names = rows.map(({ name }) => name).filter((name) => !CREW.includes(name));
  return [...FIRST.filter((name) => names.includes(name)), ...names.filter((name) => !FIRST.includes(name))];
}

/**
 * All rows. Everything but the sweeps is of one moment; those, which never change, follow one by one, so that nobody waits for them.
 */
export async function* allRows(db: Database): AsyncIterable<Line> {
  const { small, sweeps } = await db.transaction(
    async (tx) => {
      const tables = await tablesOf(tx);
      const lines: Line[] = [];
      for (const table of tables.filter((name) => name !== LARGE && !DERIVED.includes(name)))
        for await (const row of rowsOf(tx, table)) lines.push({ table, row });
      const ids = tables.includes(LARGE)
        ? await asked<{ id: string }>(tx, sql`select id from ${sql.identifier(LARGE)} order by id`)
        : [];
      return { small: lines, sweeps: ids };
    },
    { isolationLevel: 'repeatable read' },
  );
  yield* small;
  for (const { id } of sweeps)
    for (const { row } of await asked<{ row: string }>(
      db,
      sql`select row_to_json(t)::text as row from ${sql.identifier(LARGE)} t where id = ${id}`,
    ))
      yield { table: LARGE, row };
}

async function* rowsOf(tx: Within, table: string): AsyncIterable<string> {
  await tx.execute(
    sql`declare rows_of cursor for select row from
        (select row_to_json(t)::text as row from ${sql.identifier(table)} t) as lines order by row collate "C"`,
  );
  for (;;) {
    const rows = await asked<{ row: string }>(tx, sql`fetch ${sql.raw(String(AT_ONCE))} from rows_of`);
    for (const { row } of rows) yield row;
    if (rows.length < AT_ONCE) break;
  }
  await tx.execute(sql`close rows_of`);
}

/** Puts these rows in the place of all there are, all or nothing. */
export const replaceAll = (db: Database, lines: AsyncIterable<Line>): Promise<void> =>
  db.transaction((tx) => replaceRows(tx, lines));

async function replaceRows(tx: Within, lines: AsyncIterable<Line>): Promise<void> {
  const tables = await tablesOf(tx);
  const all = sql.join(
    tables.map((name) => sql.identifier(name)),
    sql`, `,
  );
  await tx.execute(sql`truncate ${all}`);
  let table = '';
  let rows: string[] = [];
  const put = async (): Promise<void> => {
    if (rows.length === 0) return;
    const into = sql.identifier(table);
    await tx.execute(
      sql`insert into ${into} select r.* from json_populate_recordset(null::${into}, ${`[${rows.join(',')}]`}::json) r`,
    );
    rows = [];
  };
  for await (const line of lines) {
    if (line.table !== table || rows.length >= AT_ONCE || table === LARGE) await put();
    if (!tables.includes(line.table))
      throw new Error(`The backup has a table ${line.table}, and Kobran none.`);
    ({ table } = line);
    rows.push(line.row);
  }
  await put();
  // The numbers by which rows come in their order go on behind the last one.
  const counted = await asked<{ name: string; column: string }>(
    tx,
    sql`select table_name as name, column_name as column from information_schema.columns
        where table_schema = 'public' and column_default like 'nextval(%'`,
  );
  for (const { name, column } of counted)
    await tx.execute(
      sql`select setval(pg_get_serial_sequence(${name}, ${column}), (select coalesce(max(${sql.identifier(column)}), 0) + 1 from ${sql.identifier(name)}), false)`,
    );
}
