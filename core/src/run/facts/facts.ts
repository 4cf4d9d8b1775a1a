import { endIdsOf, readBatchEndId } from '../design/ids.js';
import { standing } from './withdrawn.js';
import { aboutOf, type Fact, type FactKindId, type FactOf, type Facts } from './kinds.js';

/** What follows from the facts of a run. */

export const noFacts: Facts = [];

/** The facts of one kind which count, in the order in which they stand. */
export const factsOf = <Kind extends FactKindId>(facts: Facts, kind: Kind): FactOf<Kind>[] =>
  standing(facts).filter((fact): fact is FactOf<Kind> => fact.kind === kind);

/** The newest of some facts; of two at the same moment the one which came later. */
export const newest = <One extends { at: string }>(facts: readonly One[]): One | undefined =>
  facts.reduce<One | undefined>((last, one) => (last && last.at > one.at ? last : one), undefined);

const about = (facts: Facts, kinds: readonly FactKindId[], what: string): Fact[] =>
  standing(facts).filter((fact) => kinds.includes(fact.kind) && aboutOf(fact) === what);

/** The newest reading for an expectation of a piece. */
export const latestReading = (
  facts: Facts,
  pieceId: string,
  expectation: string,
): FactOf<'reading'> | undefined =>
  newest(
    factsOf(facts, 'reading').filter((one) => one.pieceId === pieceId && one.expectation === expectation),
  );

const endKinds: readonly FactKindId[] = ['end made', 'end failed', 'damaged'];

/** Is this end made? A later failure or damage takes it back. */
export const isEndMade = (facts: Facts, endId: string): boolean =>
  newest(about(facts, endKinds, endId))?.kind === 'end made';

/** How many of an end are made where several of the same are: its own and those of the batch. */
export const endsMade = (facts: Facts, endId: string): number =>
  [...new Set(factsOf(facts, 'end made').map((one) => one.endId))].filter(
    (id) => readBatchEndId(id).end === endId && isEndMade(facts, id),
  ).length;

/** How often something was read of a piece; of several of the same each is read. */
export const timesRead = (facts: Facts, pieceId: string, expectation: string): number =>
  factsOf(facts, 'reading').filter((one) => one.pieceId === pieceId && one.expectation === expectation)
    .length;

/** Is this piece cut? A booking that was taken back is none; a piece with both ends made is. */
export const isCut = (facts: Facts, pieceId: string): boolean =>
  endIdsOf(pieceId).every((id) => isEndMade(facts, id)) ||
  newest(about(facts, ['cut', 'not cut'], pieceId))?.kind === 'cut';

/** The seal which a joint has, its own or that of a neighbour; one which was opened since is none. */
export function sealOf(facts: Facts, jointId: string): FactOf<'sealed'> | undefined {
  const last = newest(
    facts.filter(
      (one): one is FactOf<'sealed' | 'opened'> =>
        (one.kind === 'sealed' || one.kind === 'opened') &&
        (one.jointId === jointId || (one.with?.includes(jointId) ?? false)),
    ),
  );
  return last?.kind === 'sealed' ? last : undefined;
}

export const isSealed = (facts: Facts, jointId: string): boolean => sealOf(facts, jointId) !== undefined;

/** The newest fact of a kind about something, when there is one. */
export const factAbout = (facts: Facts, kind: FactKindId, what = ''): Fact | undefined =>
  newest(about(facts, [kind], what));
