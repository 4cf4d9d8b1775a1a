/** The outcome of something a user can get wrong: a value, or the problem in words. */
export type Result<T, P = Problem> = { ok: true; value: T } | { ok: false; problem: P };

/** What is wrong, where, and how to mend it. The one error shape of the whole house. */
export interface Problem {
  /** Stable, for programs: `length.unknown-unit`. */
  code: string;
  /** For people, one sentence. */
  message: string;
  /** Place: a character position (`character 3`) or a path in a document (`pieces[2].cable`). */
  where: string;
  /** What to do, one sentence. */
  remedy: string;
  /** What was typed can be read in several ways: how to write each so that it is meant for sure. */
  choices?: readonly string[];
}

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });

export const fail = (
  code: string,
  message: string,
  where: string,
  remedy: string,
): { ok: false; problem: Problem } => ({ ok: false, problem: { code, message, where, remedy } });

/** Is it a plain object, not an array? */
export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
