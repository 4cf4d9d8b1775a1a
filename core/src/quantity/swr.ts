import { parseDecibels } from './decibel.js';
import { place, splitTerms } from './number.js';
import { fail, ok, type Result } from './result.js';

/** Return losses which nobody reads as a standing-wave ratio, dB, and ratios which nobody reads as a return loss. Common practice, no source. */
const PLAIN_DB = 6;
const PLAIN_SWR = 6;
const MAX_SWR = 100;

const lossOf = (swr: number): number => (swr === 1 ? 200 : -20 * Math.log10((swr - 1) / (swr + 1)));

/** How a match was written: as a ratio, as decibels, or as a bare number. */
interface Written {
  as: 'swr' | 'db' | 'bare';
  value: number;
}

function written(text: string): Result<Written> {
  const said = /^\s*(?:v?swr|s)\b[\s:=]*(.*)$/i.exec(text);
  const ratio = /^(.*?):\s*1\s*$/.exec(said?.[1] ?? text);
  if (said || ratio) {
    const terms = splitTerms(ratio?.[1] ?? said?.[1] ?? '', 'swr');
    if (!terms.ok) return terms;
    const [term, extra] = terms.value;
    if (extra || term.unit !== '')
      return fail(
        'swr.not-a-ratio',
        `“${text}” is not a ratio.`,
        place(term.at),
        'Type it like 1.5 or 1.5:1.',
      );
    return ok({ as: 'swr', value: term.value });
  }
  const read = parseDecibels(text.replace(/^\s*(?:rl|return loss)\b[\s:=]*/i, ''));
  if (!read.ok) return read;
  return ok({ as: /db\s*$|^\s*(rl|return loss)/i.test(text) ? 'db' : 'bare', value: read.value });
}

const outOfRange = (): Result<never> =>
  fail('swr.range', `A standing-wave ratio is from 1 to ${MAX_SWR}.`, 'field', 'Type it like 1.5 or 1.5:1.');

function doubtful(text: string): Result<never> {
  const bare = text.trim();
  const asked = fail(
    'swr.ambiguous',
    `“${bare}” can be a standing-wave ratio or a return loss.`,
    'character 1',
    `Write SWR ${bare} or ${bare} dB.`,
  );
  return { ok: false, problem: { ...asked.problem, choices: [`SWR ${bare}`, `${bare} dB`] } };
}

/**
 * Reads a standing-wave ratio as it is said: `1.1`, `1.1:1`, `SWR 1.1`; a return loss with its dB is turned into one.
 *
 * A bare number which is likelier a return loss is asked about.
 *
 * @returns a ratio from 1 to 100
 * @example parseSwr('1.1:1') // { ok: true, value: 1.1 }
 */
export function parseSwr(text: string): Result<number> {
  const read = written(text);
  if (!read.ok) return read;
  const { as, value } = read.value;
  if (as === 'bare' && Math.abs(value) > PLAIN_SWR) return doubtful(text);
  if (as !== 'db') return value >= 1 && value <= MAX_SWR ? ok(value) : outOfRange();
  const rho = 10 ** (-Math.abs(value) / 20);
  const swr = (1 + rho) / (1 - rho);
  return swr <= MAX_SWR ? ok(swr) : outOfRange();
}

/**
 * Reads a return loss: `20.8 dB`, `20.8`; a ratio written as one (`1.1:1`, `SWR 1.1`) is turned into decibels.
 *
 * A bare number from 1 to 6 may be either, and is asked about.
 *
 * @returns decibels, positive; a perfect match is 200
 * @example parseReturnLoss('SWR 1.5') // { ok: true, value: 13.9794000867 }
 */
export function parseReturnLoss(text: string): Result<number> {
  const read = written(text);
  if (!read.ok) return read;
  const { as, value } = read.value;
  if (as === 'swr') return value >= 1 && value <= MAX_SWR ? ok(lossOf(value)) : outOfRange();
  if (as === 'bare' && value >= 1 && value <= PLAIN_DB) return doubtful(text);
  return ok(Math.abs(value));
}
