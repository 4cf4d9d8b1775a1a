import type { Practice } from '../../practice/index.js';
import type { Design } from '../design/design.js';
import { factsOf } from '../facts/facts.js';
import type { FactOf, Facts } from '../facts/kinds.js';
import { documentHash } from './hash.js';

/** What was handed over: one design, signed by one person or by two. */
export interface Revision {
  /** From 1. */
  number: number;
  /** Hash of the design as it was signed; nothing where it was signed before Kobran kept it. */
  design: string | undefined;
  signed: FactOf<'handed over'>[];
}

/** The revisions of a run, oldest first: a signature on the same design as the one before joins it. */
export function revisionsOf(facts: Facts): Revision[] {
  const found: Revision[] = [];
  for (const fact of factsOf(facts, 'handed over').toSorted((x, y) => x.at.localeCompare(y.at))) {
    const last = found.at(-1);
    if (last && fact.design !== undefined && last.design === fact.design) last.signed.push(fact);
    else found.push({ number: found.length + 1, design: fact.design, signed: [fact] });
  }
  return found;
}

/** How a run stands against what was handed over last. */
export interface SignedState {
  revision: Revision | undefined;
  /** The design was changed since. */
  changed: boolean;
  /** Signatures on what stands now which are still wanted. */
  missing: number;
  /** Who has signed what stands now. */
  signers: string[];
}

/** @param design as it stands now, with its legs taken from the site */
export function signedState(
  design: Design,
  facts: Facts,
  { signatures }: Pick<Practice, 'signatures'>,
): SignedState {
  const revision = revisionsOf(facts).at(-1);
  const changed = revision?.design !== undefined && revision.design !== documentHash(design);
  const signers = revision && !changed ? [...new Set(revision.signed.map(({ by }) => by))] : [];
  // Who signed before two were asked for has signed.
  const wanted = revision && revision.design === undefined ? 1 : (signatures ?? 1);
  return { revision, changed, missing: Math.max(0, wanted - signers.length), signers };
}
