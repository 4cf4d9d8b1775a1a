import type { FactKind, Signature } from './fact.js';

/** An entry which was typed wrongly does not count any more. It stays in the log, with why. */
export interface Withdrawn {
  kind: 'withdrawn';
  /** Id of the entry. */
  of: string;
  /** What that was about, and how it read, so that this one is understood alone. */
  about: string;
  text: string;
  why: string;
}

export const withdrawn: FactKind<Withdrawn> = {
  kind: 'withdrawn',
  about: ({ about }) => about,
  text: ({ text, why }) => `${text}: ${why}`,
};

/** Kinds which can be taken back so: what a meter said. */
const WITHDRAWABLE: readonly string[] = ['reading', 'run reading', 'power step'];

type AnyFact = Pick<Signature, 'id'> & { kind: string };

const kept = new WeakMap<readonly AnyFact[], readonly AnyFact[]>();

/** The entries which count: without those that were withdrawn. The same list for the same facts, so that nobody pays twice. */
export function standing<One extends AnyFact>(facts: readonly One[]): readonly One[] {
  const known = kept.get(facts);
  if (known) return known as readonly One[];
  const gone = new Set(
    facts.flatMap((one) => (one.kind === 'withdrawn' && 'of' in one ? [one.of as string] : [])),
  );
  const left =
    gone.size === 0 ? facts : facts.filter(({ id, kind }) => !gone.has(id) || !WITHDRAWABLE.includes(kind));
  kept.set(facts, left);
  return left;
}
