import { wordsIn } from '@kobran/core';
import { and, desc, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../database/database.js';
import { runSummaries, searchWords } from '../database/schema.js';

/** How a run is found by words. Each way has an index of its own and is tried where the one before has found nothing. */

/** More words narrow nothing down. */
const MAX_WORDS = 12;
/** Words which a mistyped one may have been. */
const MAX_LIKE = 5;

/** What is looked for, word by word. */
export const wordsOf = (search: string): string[] => wordsIn(search).slice(0, MAX_WORDS);

/** Some word begins so (“brack”, “rg-2”), or has the same stem (“kinks” for “kink”). */
const begins = (word: string): SQL =>
  sql`${runSummaries.stems} @@ ((quote_literal(${word}::text) || ':*')::tsquery || plainto_tsquery('english', ${word}))`;

/** Every word does. */
export const beginning = (words: readonly string[]): SQL | undefined => and(...words.map(begins));

/** What stands for itself in a pattern. */
const literally = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** Every word stands in it somewhere, in the middle of another too. */
export const containing = (words: readonly string[]): SQL | undefined =>
  and(...words.map((word) => sql`${runSummaries.words} ilike ${literally(word)}`));

/** For one transaction: rows are looked up by letters, and not read one after the other. */
export const byIndex = sql`set local enable_seqscan = off`;

/**
 * Every word, or one which is like it, as when it is mistyped.
 *
 * @returns nothing where some word is like none
 */
export async function nearly(
  within: Pick<Database, 'select'>,
  words: readonly string[],
): Promise<SQL | undefined> {
  const each: (SQL | undefined)[] = [];
  for (const word of words) {
    const like = await within
      .select({ word: searchWords.word })
      .from(searchWords)
      .where(sql`${searchWords.word} % ${word}`)
      .orderBy(desc(sql`similarity(${searchWords.word}, ${word})`))
      .limit(MAX_LIKE);
    if (like.length === 0) return undefined;
    each.push(
      sql`(${sql.join(
        like.map((one) => begins(one.word)),
        sql` or `,
      )})`,
    );
  }
  return and(...each);
}
