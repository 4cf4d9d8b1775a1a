import { readFact, type LoggedEnd, type LoggedTrim, type Damaged, type SignedDesign } from '@kobran/contract';
import type { Design, Fact, FactKindId, FactOf, Facts, KeptLog } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, gt, inArray, isNull, max, sql } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { facts, jobs, revisions, runs } from '../database/schema.js';
import { invalid } from '../errors/problem.js';
import { apart, damageOf, type Stored } from '../store/stored.js';
import { entryOf, type FactRow } from '../store/factRows.js';
import { appendFacts, putRevisions, readLog } from './log.js';

/** Entries which are known to be sound; of what was not asked for longest it is forgotten. About 20 MB. */
const MOST_SOUND = 100_000;

/** The facts of a run; what cannot be read is set aside. */
export interface RunFacts {
  facts: Facts;
  damaged: Damaged[];
}

/** From so many runs times are learned. Common practice, no source. */
const MAX_LEARNED_RUNS = 300;

/** An entry with its run and job. */
export interface LoggedFact {
  runId: string;
  /** Its name. */
  run: string;
  jobId: string;
  fact: Fact;
}

/** The rows of a run's facts as one column of the table of runs, oldest first; nothing when there are none. */
export const factsOfRun = sql<FactRow[] | null>`(
  select json_agg(json_build_object('id', id, 'kind', kind, 'by', by, 'at', at, 'body', body) order by at, came)
  from facts where run_id = runs.id)`;

/** The database's own mark of the facts a run has: it differs after every change, whoever made it. */
export const factsMark = sql<string>`(
  select count(*) || '/' || coalesce(max(xmin::text::bigint), 0) from facts where run_id = runs.id)`;

/** What was read and done, in every run. Facts are only ever added: a correction is a fact of its own. */
@Injectable()
export class FactsService {
  /** Facts never change, so one that was read well is not checked again. */
  private readonly sound = new LRUCache<string, true>({ max: MOST_SOUND });

  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Reads a fact of a request, or refuses it with every problem. */
  checked(value: unknown, where = ''): Fact {
    const read = readFact(value, where);
    if (!read.ok) throw invalid(read.problems);
    return read.fact;
  }

  /** Keeps a fact; sent twice it is kept once. One which another run has under this id is refused, not dropped. */
  async add(runId: string, fact: Fact): Promise<void> {
    await this.db.transaction((tx) => appendFacts(tx, runId, [fact]));
  }

  /** Keeps a signature together with what was signed. */
  async sign(runId: string, fact: FactOf<'handed over'>, design: Design): Promise<void> {
    await this.db.transaction(async (tx) => {
      await appendFacts(tx, runId, [fact]);
      await putRevisions(tx, runId, [design]);
    });
  }

  /** Designs as they were handed over, in no order: the signatures have one. */
  async revisions(runId: string): Promise<SignedDesign[]> {
    const rows = await this.db.select().from(revisions).where(eq(revisions.runId, runId));
    // Kept as it was signed; nobody changes it.
    return rows.map(({ hash, design }) => ({ hash, design: design as Design }));
  }

  /** The log of a run with its chain, in the order in which its entries came, unchecked. */
  log(runId: string): Promise<KeptLog> {
    return readLog(this.db, runId);
  }

  /** Its log for a file: without entries which nobody can read, so that a check of the file misses these. */
  async readableLog(runId: string): Promise<KeptLog> {
    const { facts: entries, hashes, head } = await this.log(runId);
    const isReadable = entries.map((entry) => readFact(entry).ok);
    return {
      facts: entries.filter((_, k) => isReadable[k]),
      hashes: hashes.filter((_, k) => isReadable[k] ?? true),
      head,
    };
  }

  /** The facts of some runs, oldest first; what cannot be read is set aside. */
  async ofRuns(ids: readonly string[]): Promise<Map<string, RunFacts>> {
    if (ids.length === 0) return new Map();
    const rows = await this.db
      .select({ id: runs.id, facts: factsOfRun })
      .from(runs)
      .where(inArray(runs.id, [...ids]));
    return new Map(rows.map((row) => [row.id, this.ofRow(row.facts)]));
  }

  /** Those of {@link factsOfRun}. */
  ofRow(rows: readonly FactRow[] | null): RunFacts {
    return asFacts((rows ?? []).map((row) => this.stored(row)));
  }

  /** Ends made or failed in all jobs, oldest first; those of deleted jobs and runs, and entries without a record, are left out. */
  async ends(): Promise<LoggedEnd[]> {
    const found = await this.ofKinds(['end made', 'end failed']);
    return found.flatMap(({ runId, fact }): LoggedEnd[] => {
      if ((fact.kind !== 'end made' && fact.kind !== 'end failed') || !fact.end) return [];
      const { endId: about, at, by: person, end } = fact;
      return [
        {
          runId,
          about,
          at,
          person,
          part: end.part,
          recipe: end.recipe,
          outcome: fact.kind === 'end made' ? 'made' : 'failed',
          ...(end.cause === undefined ? {} : { cause: end.cause }),
          ...(end.lostM === undefined ? {} : { lostM: end.lostM }),
        },
      ];
    });
  }

  /** The facts of the runs in which somebody began or ended a task of a day; of many the latest, which say how the crew works now. */
  async ofRunsWithTasks(): Promise<Facts[]> {
    const rows = await this.db
      .select({ id: facts.runId })
      .from(facts)
      .innerJoin(runs, eq(runs.id, facts.runId))
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(
        and(inArray(facts.kind, ['task begun', 'task done']), isNull(runs.deletedAt), isNull(jobs.deletedAt)),
      )
      .groupBy(facts.runId)
      .orderBy(desc(max(facts.at)))
      .limit(MAX_LEARNED_RUNS);
    const all = await this.ofRuns(rows.map(({ id }) => id));
    return [...all.values()].map((one) => one.facts);
  }

  /** Resonances read while trimming, oldest first; those of deleted jobs and runs are left out. */
  async trims(): Promise<LoggedTrim[]> {
    const found = await this.ofKinds(['trimmed']);
    return found.flatMap(({ runId, fact }) =>
      fact.kind === 'trimmed' ? [{ ...fact.trim, runId, about: fact.pieceId, at: fact.at }] : [],
    );
  }

  /** Entries of some kinds in all jobs, oldest first; those of deleted jobs and runs are left out. */
  async ofKinds(kinds: readonly FactKindId[], since = ''): Promise<LoggedFact[]> {
    const rows = await this.db
      .select({ fact: facts, run: sql<string>`coalesce(runs.design->>'name', '')`, jobId: runs.jobId })
      .from(facts)
      .innerJoin(runs, eq(runs.id, facts.runId))
      .innerJoin(jobs, eq(jobs.id, runs.jobId))
      .where(
        and(
          inArray(facts.kind, [...kinds]),
          since === '' ? undefined : gt(facts.at, since),
          isNull(runs.deletedAt),
          isNull(jobs.deletedAt),
        ),
      )
      .orderBy(asc(facts.at), asc(facts.came));
    return rows.flatMap(({ fact, run, jobId }) => {
      const read = this.stored(fact);
      return read.ok ? [{ runId: fact.runId, run, jobId, fact: read.value }] : [];
    });
  }

  private stored(row: FactRow): Stored<Fact> {
    const { id, kind } = row;
    const fact = entryOf(row);
    // Read well before, so it has the shape of its kind.
    if (this.sound.get(id)) return { ok: true, value: fact };
    const read = readFact(fact);
    if (!read.ok) return { ok: false, damaged: damageOf(`A fact (${kind})`, id, read.problems) };
    this.sound.set(id, true);
    return { ok: true, value: read.fact };
  }
}

function asFacts(all: readonly Stored<Fact>[]): RunFacts {
  const { readable, damaged } = apart(all);
  return { facts: readable, damaged };
}
