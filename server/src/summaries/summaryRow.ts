import { readDesign } from '@kobran/contract';
import {
  evaluate,
  onSite,
  peopleOf,
  runSummary,
  searchWords,
  wordsIn,
  type Catalog,
  type Facts,
  type Practice,
  type Site,
} from '@kobran/core';
import type { runSummaries } from '../database/schema.js';
import { damageOf } from '../store/stored.js';

export type SummaryRow = typeof runSummaries.$inferInsert;

/** A run with everything its summary is worked out of. */
export interface ToSummarise {
  id: string;
  of: string;
  /** As it is kept, unchecked. */
  design: unknown;
  facts: Facts;
  job: { name: string; where: string; practice: Practice; place: Site };
}

/** A list needs no curve: two points are the fewest. */
const SWEEP_POINTS = 2;

/** A run of which nothing can be said but why. */
export const unreadable = ({ id, of, facts, job }: ToSummarise, fault: string): SummaryRow => ({
  runId: id,
  of,
  people: peopleOf(facts),
  words: wordsIn(`${job.name} ${job.where}`).join(' '),
  fault,
  summary: null,
  worst: null,
  nextStage: null,
  due: null,
});

/** Works out what lists say of a run; of one which cannot be read, why. */
export function summaryRow(run: ToSummarise, catalog: Catalog): SummaryRow {
  const { id, facts, job } = run;
  const read = readDesign(run.design, catalog);
  if (!read.ok) return unreadable(run, damageOf('A run', id, read.problems).message);
  const sheet = evaluate(onSite(read.design, job.place), catalog, {
    facts,
    practice: job.practice,
    sweepPoints: SWEEP_POINTS,
  });
  const summary = runSummary(read.design.name, sheet);
  return {
    runId: id,
    of: run.of,
    people: peopleOf(facts),
    words: [
      ...new Set([...wordsIn(`${job.name} ${job.where}`), ...searchWords(read.design, sheet, catalog)]),
    ].join(' '),
    fault: null,
    summary,
    worst: summary.worst?.level ?? null,
    nextStage: summary.next.stage,
    due: summary.looks.map(({ due }) => due).toSorted()[0] ?? null,
  };
}
