import { sleeves, tapes, type Catalog, type Sleeve, type Tape, type UsedPart } from '../catalog/index.js';
import type { Practice } from '../practice/index.js';
import type { EndRecord, FactBody, Facts } from '../run/index.js';
import type { Site } from '../site/index.js';
import { endNeeds, tubePart, usedParts } from './needs.js';

/** What left the shelf with one entry of a log: an end took its connector, made or failed. */
export function usesOf(fact: FactBody, { parts }: Pick<Catalog, 'parts'>): readonly UsedPart[] {
  if (fact.kind === 'end made' || fact.kind === 'end failed')
    return fact.end && fact.end.work !== 'shrink' ? usesOfEnd(fact.end, parts) : [];
  if (fact.kind === 'tube checked')
    return fact.newV === undefined ? [] : [{ part: tubePart(fact.newV), amount: 1 }];
  return 'used' in fact ? (fact.used ?? []) : [];
}

/** A part which nobody has any more is still one which was used. */
function usesOfEnd({ part: id, lined }: EndRecord, parts: Catalog['parts']): readonly UsedPart[] {
  const part = parts.get(id);
  return part ? usedParts(endNeeds({ part, exposed: lined ?? false })) : [{ part: id, amount: 1 }];
}

/** The kinds of entries with which something leaves the shelf. */
export const usingKinds = [
  'end made',
  'end failed',
  'tube checked',
  'sealed',
  'installed',
  'grounded',
  'task done',
] as const satisfies readonly FactBody['kind'][];

/** What was used in one job, for its record. */
export interface JobUse extends UsedPart {
  /** ISO 8601, or only the day where no more is known. */
  at: string;
  by: string;
  /** The run, or where in the ground. */
  of: string;
}

/** Everything that was used in a job, oldest first. */
export function usesOfJob(
  runs: readonly { name: string; facts: Facts }[],
  site: Site,
  catalog: Pick<Catalog, 'parts'>,
): JobUse[] {
  const inRuns = runs.flatMap(({ name, facts }) =>
    facts.flatMap((fact) =>
      usesOf(fact, catalog).map((use): JobUse => ({ ...use, at: fact.at, by: fact.by, of: name })),
    ),
  );
  const inGround = site.ground.bonds.flatMap(({ id, made }) =>
    (made?.used ?? []).map((use): JobUse => {
      const { at, on = '', by = '' } = made ?? {};
      return { ...use, at: at ?? on, by, of: `ground, ${id}` };
    }),
  );
  return [...inRuns, ...inGround].toSorted((x, y) => x.at.localeCompare(y.at));
}

/** What a part of the list is called; its id where nothing at hand has a better name. */
export function partName(
  id: string,
  { parts, adapters, arresters }: Catalog,
  { ownTapes = [], ownSleeves = [] }: Pick<Practice, 'ownTapes' | 'ownSleeves'>,
): string {
  const others: readonly (Tape | Sleeve)[] = [
    ...ownTapes,
    ...ownSleeves,
    ...Object.values(tapes),
    ...sleeves,
  ];
  return (
    (parts.get(id) ?? adapters.get(id) ?? arresters.get(id) ?? others.find((one) => one.id === id))?.name ??
    id
  );
}
