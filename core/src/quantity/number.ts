import { fail, ok, type Result } from './result.js';

const vulgarFractions: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Brings typographic primes, fractions, minus signs and spaces to the plain characters the parsers know. */
export function plainText(text: string): string {
  return text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${vulgarFractions[c]}`)
    .replace(/[′’‘]/g, "'")
    .replace(/[″”“]|''/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/[Ωω]/g, 'ohm')
    .replace(/[   \s]+/g, ' ')
    .trim();
}

/** One number with the unit written behind it, and where it began in the text. */
export interface Term {
  value: number;
  unit: string;
  at: number;
}

const termPattern =
  /(?:(?<whole>\d+)(?:\s+|-))?(?<num>\d+)\s*\/\s*(?<den>\d+)\s*(?<unitF>[a-zµ"']*)|(?<decimal>[+-]?(?:\d+(?:[.,]\d+)*|[.,]\d+)(?:e[+-]?\d+)?)\s*(?<unitD>[a-zµ"']*)/iy;

/**
 * Splits text such as `12' 6 1/2"` into numbers with units.
 *
 * Decimal comma and point are both understood; `1.234,5` and `1,234.5` are refused as ambiguous
 * rather than guessed at.
 *
 * @param kind what is being typed, for messages: `length`
 * @example splitTerms(`12' 6 1/2"`, 'length').value // [{ value: 12, unit: "'" }, { value: 6.5, unit: '"' }]
 */
export function splitTerms(text: string, kind: string): Result<Term[]> {
  const plain = plainText(text);
  if (plain === '')
    return fail(`${kind}.empty`, `No ${kind} was given.`, 'character 1', 'Type a number and a unit.');
  const terms: Term[] = [];
  let at = 0;
  while (at < plain.length) {
    if (plain[at] === ' ') {
      at++;
      continue;
    }
    termPattern.lastIndex = at;
    const match = termPattern.exec(plain);
    if (!match?.groups) return notANumber(kind, plain, at);
    const { whole, num, den, unitF, decimal, unitD } = match.groups;
    if (den !== undefined) {
      if (Number(den) === 0) {
        return fail(
          `${kind}.zero-denominator`,
          'A fraction cannot be divided by zero.',
          place(at),
          'Write it like 6 1/2.',
        );
      }
      terms.push({ value: Number(whole ?? 0) + Number(num) / Number(den), unit: unitF, at });
    } else {
      const value = decimalValue(decimal);
      if (value === undefined) {
        return fail(
          `${kind}.two-decimal-marks`,
          `“${decimal}” has more than one decimal mark.`,
          place(at),
          'Use one comma or one point, and no thousands marks.',
        );
      }
      terms.push({ value, unit: unitD, at });
    }
    at = termPattern.lastIndex;
  }
  return ok(terms);
}

function decimalValue(text: string): number | undefined {
  const marks = text.match(/[.,]/g)?.length ?? 0;
  if (marks > 1) return undefined;
  return Number(text.replace(',', '.'));
}

/** A character position as people count, from 1. */
export const place = (index: number): string => `character ${index + 1}`;

function notANumber(kind: string, plain: string, at: number): Result<never> {
  const rest = plain.slice(at);
  const shown = rest.length > 24 ? `${rest.slice(0, 24)}…` : rest;
  return fail(`${kind}.not-a-number`, `“${shown}” is not a number.`, place(at), 'Type a number and a unit.');
}
