import { FORGIVEN_S, FREE_TRIES, waitAfter } from '@kobran/core';
import { Inject, Injectable } from '@nestjs/common';
import { eq, inArray } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { DATABASE } from '../database/database.module.js';
import { signInTries } from '../database/schema.js';
import { problem } from '../errors/problem.js';

/** A crew behind one address mistypes more than one person; and one name is tried from many places only by who should not. */
const FREE = { nameHere: FREE_TRIES, place: 30, name: 50 };

/** Whose phrase was tried, or which code, and from where. */
export interface Attempt {
  /** Empty for a code. */
  name: string;
  place: string;
}

/** Makes who guesses wait, longer each time. What it counts is in the database: several servers count together. */
@Injectable()
export class TriesService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /**
   * Counts an attempt before it is looked at, so that many at once are counted too.
   *
   * @returns whether with this one the waiting begins
   * @throws while one has to wait
   */
  async count(attempt: Attempt): Promise<{ isFirstWait: boolean }> {
    const now = Date.now();
    return this.db.transaction(async (tx) => {
      let isFirstWait = false;
      for (const [key, free] of keysOf(attempt)) {
        await tx
          .insert(signInTries)
          .values({ key, failures: 0, lastAt: new Date(now).toISOString() })
          .onConflictDoNothing();
        const [row] = await tx.select().from(signInTries).where(eq(signInTries.key, key)).for('update');
        const last = Date.parse(row.lastAt);
        const before = now - last > FORGIVEN_S * 1000 ? 0 : row.failures;
        const leftS = Math.ceil(last / 1000 + waitAfter(before, free) - now / 1000);
        if (before > 0 && leftS > 0) throw wait(leftS);
        await tx
          .update(signInTries)
          .set({ failures: before + 1, lastAt: new Date(now).toISOString() })
          .where(eq(signInTries.key, key));
        isFirstWait ||= before + 1 === free;
      }
      return { isFirstWait };
    });
  }

  /** It was right: what was counted of this name is forgotten. */
  async succeeded(attempt: Attempt): Promise<void> {
    await this.db.delete(signInTries).where(
      inArray(
        signInTries.key,
        keysOf(attempt).map(([key]) => key),
      ),
    );
  }
}

function keysOf({ name, place }: Attempt): [key: string, free: number][] {
  const key = name.toLowerCase();
  return [
    [`place ${place}`, FREE.place],
    ...(name === ''
      ? []
      : ([
          [`name ${key} at ${place}`, FREE.nameHere],
          [`name ${key}`, FREE.name],
        ] as [string, number][])),
  ];
}

const wait = (seconds: number): Error =>
  problem(429, {
    code: 'sign-in.wait',
    message: 'Too many wrong pass phrases, one after the other.',
    where: 'phrase',
    remedy: `Wait ${seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} minutes`}, then try again; or ask an owner for a new invitation.`,
  });
