import { and, or, sql, type SQL } from 'drizzle-orm';
import { runSummaries } from '../database/schema.js';

/** How a run is found by words: by their letters as they stand, by their stems, and by letters which are nearly the same. */

/** More words narrow nothing down. */
const MAX_WORDS = 12;

const wordsOf = (search: string): string[] =>
  search
    .split(/\s+/)
    .filter((word) => word !== '')
    .slice(0, MAX_WORDS);

/** What stands for itself in a pattern. */
const literally = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** Every word stands in it, wholly or as a part (“brack”, “213”); or all of them do in another form (“kinks” for “kink”). */
export const matching = (search: string): SQL | undefined =>
  or(
    and(...wordsOf(search).map((word) => sql`${runSummaries.words} ilike ${literally(word)}`)),
    sql`to_tsvector('english', ${runSummaries.words}) @@ websearch_to_tsquery('english', ${search})`,
  );

/** How much of a word’s letters, three by three, must be there: one left out of eight still is. For one transaction. */
export const asLikeAs = sql`set local pg_trgm.word_similarity_threshold = 0.45`;

/** Every word is nearly in it, as when it is mistyped; {@link asLikeAs} says how nearly. */
export const nearlyMatching = (search: string): SQL | undefined =>
  and(...wordsOf(search).map((word) => sql`${word} <% ${runSummaries.words}`));
