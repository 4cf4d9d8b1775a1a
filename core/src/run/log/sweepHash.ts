import { factsOf, newest } from '../facts/facts.js';
import type { Facts } from '../facts/kinds.js';
import { bytesHash } from './hash.js';

/** Real and imaginary parts. */
interface Samples {
  re: ArrayLike<number>;
  im: ArrayLike<number>;
}

/** What of a sweep is measured. */
export interface SampledSweep {
  referenceOhm: number;
  frequencyHz: ArrayLike<number>;
  s11: Samples;
  s21?: Samples;
  s12?: Samples;
  s22?: Samples;
}

/**
 * SHA-256 of the samples of a sweep as 64-bit floats (IEEE 754, little-endian): its reference, frequencies, then s11, s21, s12 and s22 with
 * their real and imaginary parts, each list behind its length; a missing one has the length 0. Zero has no sign: JSON does not keep it.
 *
 * @returns 64 hexadecimal digits
 */
export function sweepHash({ referenceOhm, frequencyHz, s11, s21, s12, s22 }: SampledSweep): string {
  const lists = [frequencyHz, ...[s11, s21, s12, s22].flatMap((one) => [one?.re ?? [], one?.im ?? []])];
  const bytes = new DataView(
    new ArrayBuffer(8 * (1 + lists.reduce((sum, { length }) => sum + 1 + length, 0))),
  );
  let at = 0;
  const put = (value: number): void => {
    bytes.setFloat64(at, value + 0, true);
    at += 8;
  };
  put(referenceOhm);
  for (const list of lists) {
    put(list.length);
    for (let k = 0; k < list.length; k++) put(list[k]);
  }
  return bytesHash(new Uint8Array(bytes.buffer));
}

/** How the sweeps of a run stand against its log. */
export interface SweepCheck {
  /** Names of those which the log has, and which are here as they were taken. */
  sound: string[];
  /** Names of those which the log has, and which are not here, or were changed. */
  missing: string[];
  /** How many are here which no log has: kept by an earlier version, or put in past the log. */
  unlogged: number;
}

/** Holds the sweeps of a run, each by its hash, against what its log says was taken and not withdrawn. */
export function checkSweeps(facts: Facts, hashes: readonly string[]): SweepCheck {
  const last = new Map(
    [...new Set(factsOf(facts, 'sweep').map(({ sha256 }) => sha256))].map((hash) => [
      hash,
      newest(
        [...factsOf(facts, 'sweep'), ...factsOf(facts, 'sweep withdrawn')].filter(
          (one) => one.sha256 === hash,
        ),
      ),
    ]),
  );
  const here = new Set(hashes);
  const standing = [...last].flatMap(([hash, one]) =>
    one?.kind === 'sweep' ? [{ hash, name: one.name }] : [],
  );
  return {
    sound: standing.filter(({ hash }) => here.has(hash)).map(({ name }) => name),
    missing: standing.filter(({ hash }) => !here.has(hash)).map(({ name }) => name),
    unlogged: [...here].filter((hash) => !last.has(hash)).length,
  };
}
