import { fail, type Problem } from '../quantity/index.js';

/** Letters of a phrase which stands alone, without a second factor (NIST SP 800-63B-4, 3.1.1.2). */
export const MIN_PHRASE = 15;
export const MAX_PHRASE = 200;
/** So many different letters the least: “aaaaaaaaaaaaaaaa” is long and no secret. */
const MIN_DIFFERENT = 6;

/**
 * A phrase as it is compared: the same however a keyboard writes its letters (NIST SP 800-63B-4, 3.1.1.2: normalised by NFKC).
 */
export const phraseAsCompared = (phrase: string): string => phrase.normalize('NFKC');

/** Letters as a person counts them; not units of a code. */
const lengthOf = (text: string): number => [...text].length;

/**
 * Why a phrase cannot be taken; nothing when it can. Length is what makes it strong: no mixture of signs is asked for.
 *
 * @param name of the person: a phrase made of it is guessed first
 */
export function phraseProblem(phrase: string, name: string): Problem | undefined {
  const compared = phraseAsCompared(phrase);
  const refuse = (code: string, message: string): Problem =>
    fail(
      code,
      message,
      'phrase',
      `Take four or five words which do not belong together, ${MIN_PHRASE} letters or more.`,
    ).problem;
  const length = lengthOf(compared);
  if (length < MIN_PHRASE)
    return refuse('phrase.short', `The pass phrase has ${length} letters; it is guessed.`);
  if (length > MAX_PHRASE)
    return refuse('phrase.long', `The pass phrase has ${length} letters; ${MAX_PHRASE} are the most.`);
  const rest = withoutName(compared.toLowerCase(), name.trim().toLowerCase());
  if (new Set(rest).size < MIN_DIFFERENT)
    return refuse(
      'phrase.plain',
      'The pass phrase says the same over and over, or only your name; it is guessed.',
    );
  return undefined;
}

const withoutName = (phrase: string, name: string): string =>
  (name === '' ? phrase : phrase.replaceAll(name, '')).replaceAll(/\s/g, '');
