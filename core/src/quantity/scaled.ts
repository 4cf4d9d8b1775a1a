import { place, pointSettled, splitTerms } from './number.js';
import { fail, type Problem, type Result } from './result.js';

/** What a one-number quantity accepts. */
export interface ScaledQuantity {
  /** For messages: `frequency`. */
  kind: string;
  /** Factor to the SI unit by spelling; lower case unless `caseMatters`. */
  units: Record<string, number>;
  /** Unit of a bare number, or none. */
  bare?: string;
  /** Largest believable value, SI. */
  most: number;
  maxText: string;
  /** `m` and `M` mean different things (mohm, Mohm). */
  caseMatters?: boolean;
  allowZero?: boolean;
  /** Of two readings of `145.500` the one beyond the largest value cannot be meant; without it both are asked about. */
  beyondIsUnmeant?: boolean;
  /** Three digits behind a point are decimals: so the trade writes its channels. A comma is asked about all the same. */
  pointIsDecimal?: boolean;
}

/** Reads one number with one unit, scaled to SI. */
export function parseScaled(text: string, q: ScaledQuantity): Result<number> {
  const scaleOf = (written: string): number | undefined =>
    q.units[(q.caseMatters ? written : written.toLowerCase()) || (q.bare ?? '')];
  const split = splitTerms(
    q.pointIsDecimal ? pointSettled(text) : text,
    q.kind,
    (value, unit) => !q.beyondIsUnmeant || value * (scaleOf(unit) ?? 1) <= q.most,
  );
  if (!split.ok) return split;
  const [term, extra] = split.value;
  const names = Object.keys(q.units).join(', ');
  const refuse = (
    code: string,
    message: string,
    at: number,
    remedy: string,
  ): { ok: false; problem: Problem } => fail(`${q.kind}.${code}`, message, place(at), remedy);
  if (extra)
    return refuse(
      'two-numbers',
      `There is a second number after the ${q.kind}.`,
      extra.at,
      'Type one number and one unit.',
    );
  if (term.unit === '' && q.bare === undefined)
    return refuse('no-unit', `The ${q.kind} has no unit.`, term.at, `Add one of ${names}.`);
  const scale = scaleOf(term.unit);
  if (scale === undefined) {
    return refuse(
      'unknown-unit',
      `“${term.unit}” is not a unit of ${q.kind}.`,
      term.at,
      `Use one of ${names}.`,
    );
  }
  const value = term.value * scale;
  if (value < 0)
    return refuse('negative', `A ${q.kind} cannot be negative.`, term.at, 'Leave the minus sign out.');
  if (value === 0 && !q.allowZero)
    return refuse('zero', `The ${q.kind} is zero.`, term.at, `Type a ${q.kind} above zero.`);
  if (!(value <= q.most)) {
    return refuse('too-large', `The ${q.kind} is beyond ${q.maxText}.`, term.at, 'Check the unit.');
  }
  return { ok: true, value };
}
