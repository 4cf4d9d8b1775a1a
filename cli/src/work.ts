import {
  defaultPractice,
  isObject,
  noFacts,
  onSite,
  withShop,
  type Catalog,
  type Design,
  type Facts,
  type Practice,
  type Problem,
} from '@kobran/core';
import { checkedDesign, InputProblem, rules, type Desk } from './desk.js';

/** A run with everything that decides what Kobran says of it. */
export interface Work {
  design: Design;
  catalog: Catalog;
  facts: Facts;
  practice: Practice;
}

/**
 * Reads a file as a run: a design alone, with nothing done yet and the usual practice, or a run of a job file with its facts,
 * the job’s practice and the entries of the catalogue it brings.
 *
 * @param wanted which run of a job file, by its name or its number from 1; the only one when not given
 */
export async function readWork(desk: Desk, path: string, wanted: string | undefined): Promise<Work> {
  const value = await desk.readJson(path);
  const catalog = await desk.catalog();
  if (!isObject(value) || !Array.isArray(value.runs))
    return {
      design: await checkedDesign(value, catalog),
      catalog,
      facts: noFacts,
      practice: defaultPractice,
    };
  const { JobFile, readAs, readFact, readShopEntry, readSite, upgradeJobFile } = await rules();
  const upgraded = upgradeJobFile(value);
  const file = readAs(JobFile, isObject(upgraded) ? upgraded : {});
  if (!file.ok) throw new InputProblem(file.problems);
  const { runs, practice, place } = file.value;
  const k = runs.length === 1 && wanted === undefined ? 0 : placeOf(runs, wanted);
  const problems: Problem[] = [];
  const entries = (file.value.catalog ?? []).flatMap(({ kind, data }, n) => {
    const read = readShopEntry(kind, data, `catalog[${n}].data`);
    if (!read.ok) problems.push(...read.problems);
    return read.ok ? [read.entry] : [];
  });
  const facts = runs[k].facts.flatMap((fact, n) => {
    const read = readFact(fact, `runs[${k}].facts[${n}]`);
    if (!read.ok) problems.push(...read.problems);
    return read.ok ? [read.fact] : [];
  });
  const drawn = place && readSite(place);
  if (drawn && !drawn.ok)
    problems.push(...drawn.problems.map((one) => ({ ...one, where: `place.${one.where}` })));
  if (problems.length > 0) throw new InputProblem(problems);
  const all = withShop(catalog, entries);
  const design = await checkedDesign(runs[k].design, all);
  return { design: onSite(design, drawn?.ok ? drawn.site : undefined), catalog: all, facts, practice };
}

function placeOf(runs: readonly { design: object }[], wanted: string | undefined): number {
  const names = runs.map(({ design }) => String((design as { name?: unknown }).name));
  const byName = names.findIndex((name) => name === wanted);
  const k = byName >= 0 ? byName : Number(wanted) - 1;
  if (runs[k]) return k;
  throw new InputProblem([
    {
      code: 'run.unknown',
      message:
        wanted === undefined ? 'The job has several runs.' : `There is no run “${wanted}” in this job.`,
      where: '--run',
      remedy: `Name one of ${names.map((name, n) => `${n + 1} (${name})`).join(', ')}.`,
    },
  ]);
}
