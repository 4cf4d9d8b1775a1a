import type { Damaged } from '@kobran/contract';
import type { Problem } from '@kobran/core';

/** A stored document as it was read, or what is wrong with it: that is set aside, and the rest works. Nothing is deleted. */
export type Stored<T> = { ok: true; value: T } | { ok: false; damaged: Damaged };

/** A sentence for what is wrong with a stored document. */
export const damageOf = (what: string, id: string, [first]: readonly Problem[]): Damaged => ({
  id,
  message: `${what} in the database cannot be read: ${first.message} (${first.where})`,
});

/** The readable ones and the others apart. */
export function apart<T>(all: readonly Stored<T>[]): { readable: T[]; damaged: Damaged[] } {
  return {
    readable: all.flatMap((one) => (one.ok ? [one.value] : [])),
    damaged: all.flatMap((one) => (one.ok ? [] : [one.damaged])),
  };
}
