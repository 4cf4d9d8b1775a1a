import { chained, EMPTY_LOG, type CrewEntry, type CrewEventKind, type KeptLog } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { asc, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { crew, crewLog } from '../database/schema.js';
import { nameOf, type Caller } from './caller.js';
import { iso } from '../store/moment.js';

/** Entries shown and checked: some ten years of a crew. */
const MOST = 20_000;

/** Who came in, and who did what only few may: chained, so that it is seen when somebody tidies it. */
@Injectable()
export class CrewLogService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** @param by a name; @param about whom or what, in words */
  async add(kind: CrewEventKind, by: string, about = ''): Promise<void> {
    await this.db.transaction(async (tx) => {
      const [log] = await tx
        .insert(crew)
        .values({ id: 1, logHead: EMPTY_LOG })
        // Changes nothing, and holds the row until the end: who comes second goes on behind.
        .onConflictDoUpdate({ target: crew.id, set: { logLength: sql`${crew.logLength}` } })
        .returning();
      const entry: CrewEntry = { id: randomUUID(), kind, by, about, at: iso(new Date().toISOString()) };
      const [hash] = chained([entry], log.logHead);
      await tx.insert(crewLog).values({ ...entry, hash });
      await tx.update(crew).set({ logLength: log.logLength + 1, logHead: hash });
    });
  }

  /** The same of something which was done by who asks. */
  tell(kind: CrewEventKind, caller: Caller, about: string): Promise<void> {
    return this.add(kind, nameOf(caller), about);
  }

  /** All of it, in the order in which it came, unchecked. */
  async read(): Promise<KeptLog<CrewEntry>> {
    const rows = await this.db.select().from(crewLog).orderBy(asc(crewLog.came)).limit(MOST);
    const [state] = await this.db.select().from(crew);
    return {
      facts: rows.map(({ id, kind, by, about, at }) => ({ id, kind, by, about, at: iso(at) })),
      // A row taken out at the end leaves its place in the count.
      hashes: [
        ...rows.map(({ hash }) => hash),
        ...Array.from({ length: Math.max(0, (state?.logLength ?? 0) - rows.length) }, () => ''),
      ],
      head: state?.logHead ?? EMPTY_LOG,
    };
  }
}
