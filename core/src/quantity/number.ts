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

/** A number as one may write it: groups of three parted by spaces or apostrophes, or marks of which one may be the decimal. */
const DIGITS = String.raw`(?:\d{1,3}(?:[ ']\d{3})+(?![\d/]|\s*\/)(?:[.,]\d+)?|\d+(?:[.,]\d+)*|[.,]\d+)`;

const termPattern = new RegExp(
  String.raw`(?:(?<whole>\d+)(?:\s+|-))?(?<num>\d+)\s*\/\s*(?<den>\d+)\s*(?<unitF>[a-zµ"']*)` +
    String.raw`|(?<decimal>[+-]?${DIGITS}(?:e[+-]?\d+)?)\s*(?<unitD>[a-zµ"']*)`,
  'iy',
);

/** Which of two readings a shop means by `1,500`: the mark it writes before the decimals. */
export type DecimalMark = '.' | ',';

/** One comma or point with exactly three digits behind it, and one to three before: thousands, or decimals? */
const EITHER_WAY = /(?<![\d.,])([+-]?[1-9]\d{0,2})([.,])(\d{3})(?![\d.,])/g;

/**
 * Writes the numbers of a text which can be read in two ways so that only the one is left which the mark gives.
 *
 * @param mark the decimal mark of whoever wrote it
 * @example settledMarks('1,500 W', ',') // '1.5 W'
 * @example settledMarks('1,500 W', '.') // '1500 W'
 */
export const settledMarks = (text: string, mark: DecimalMark): string =>
  text.replace(EITHER_WAY, (_, whole: string, written: string, rest: string) =>
    written === mark ? decimalText(whole, rest) : `${whole}${rest}`,
  );

/** The numbers which have a point and three digits, written so that these are decimals; those with a comma stay as they are. */
export const pointSettled = (text: string): string =>
  text.replace(EITHER_WAY, (all, whole: string, written: string, rest: string) =>
    written === '.' ? decimalText(whole, rest) : all,
  );

/**
 * The decimal mark of whoever wrote these numbers, told by those which have one reading only.
 *
 * @returns nothing when none tells, or when they contradict each other
 * @example decimalMarkOf(['1,500', '0,85']) // ','
 */
export function decimalMarkOf(numbers: readonly string[]): DecimalMark | undefined {
  const marks = new Set(
    numbers.flatMap((text): DecimalMark[] => {
      const [, mark, decimals] = /^\s*[+-]?\d*([.,])(\d+)\s*$/.exec(text) ?? [];
      const told = decimals !== undefined && (decimals.length !== 3 || /^\s*[+-]?0*[.,]/.test(text));
      return told && (mark === '.' || mark === ',') ? [mark] : [];
    }),
  );
  return marks.size === 1 ? [...marks][0] : undefined;
}

/** Decimals which nobody takes for thousands: never exactly three of them. */
function decimalText(whole: string, rest: string): string {
  const digits = rest.replace(/0+$/, '');
  if (digits === '') return whole;
  return `${whole}.${digits.length === 3 ? `${digits}0` : digits}`;
}

/**
 * Splits text such as `12' 6 1/2"` into numbers with units.
 *
 * Decimal comma and point are both understood, thin spaces and apostrophes group. What has two readings (`1,500`) is asked about rather
 * than guessed at: the problem offers both.
 *
 * @param kind what is being typed, for messages: `length`
 * @param believable which of two readings can be meant; when only one can, it is taken (default: both)
 * @example splitTerms(`12' 6 1/2"`, 'length').value // [{ value: 12, unit: "'" }, { value: 6.5, unit: '"' }]
 */
export function splitTerms(
  text: string,
  kind: string,
  believable: (value: number, unit: string) => boolean = () => true,
): Result<Term[]> {
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
    const { whole, num, den, unitF, decimal = '', unitD } = match.groups;
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
      const readings = readingsOf(decimal);
      const [value, other]: (string | undefined)[] = readings.filter(
        (reading) => readings.length === 1 || believable(Number(reading), unitD),
      );
      if (value === undefined) {
        return fail(
          `${kind}.two-decimal-marks`,
          `“${decimal}” has more than one decimal mark.`,
          place(at),
          'Use one comma or one point, and no thousands marks.',
        );
      }
      if (other !== undefined) return ambiguous(kind, { plain, decimal, at }, [value, other]);
      terms.push({ value: Number(value), unit: unitD, at });
    }
    at = termPattern.lastIndex;
  }
  return ok(terms);
}

/** What a number can mean, as plain texts: none when its marks make no sense, two when a lone mark may part thousands or decimals. */
function readingsOf(written: string): string[] {
  const text = written.replace(/[ ']/g, '');
  const marks: string[] = text.match(/[.,]/g) ?? [];
  if (marks.length === 0) return [text];
  if (marks.length === 1) {
    const grouped = written === text && [...text.matchAll(EITHER_WAY)].length === 1;
    if (!grouped) return [text.replace(',', '.')];
    const [, whole, , rest] = [...text.matchAll(EITHER_WAY)][0];
    return [`${whole}${rest}`, decimalText(whole, rest)];
  }
  // Several: they part groups of three, or all but the last do, which then is the other mark.
  const [grouping, last] = [marks[0], marks[marks.length - 1]];
  const decimals = last === grouping ? '' : String.raw`(?:[${last}]\d+)?`;
  const wellGrouped = new RegExp(
    String.raw`^[+-]?\d{1,3}(?:[${grouping}]\d{3})+${decimals}(?:e[+-]?\d+)?$`,
    'i',
  );
  return wellGrouped.test(text) ? [text.replaceAll(grouping, '').replace(',', '.')] : [];
}

function ambiguous(
  kind: string,
  { plain, decimal, at }: { plain: string; decimal: string; at: number },
  readings: readonly [string, string],
): Result<never> {
  const choices = readings.map(
    (reading) => plain.slice(0, at) + plain.slice(at).replace(decimal, () => reading),
  );
  const [first, second] = readings;
  const asked = fail(
    `${kind}.ambiguous`,
    `“${decimal}” can be ${first} or ${second}.`,
    place(at),
    `Write ${first} or ${second}.`,
  );
  return { ok: false, problem: { ...asked.problem, choices } };
}

/** A character position as people count, from 1. */
export const place = (index: number): string => `character ${index + 1}`;

function notANumber(kind: string, plain: string, at: number): Result<never> {
  const rest = plain.slice(at);
  const shown = rest.length > 24 ? `${rest.slice(0, 24)}…` : rest;
  return fail(`${kind}.not-a-number`, `“${shown}” is not a number.`, place(at), 'Type a number and a unit.');
}
