import type { AddTrace } from '@kobran/contract';
import { promisify } from 'node:util';
import { deflateRaw, inflateRaw } from 'node:zlib';

/** The samples of a sweep as the database keeps them: exact to the last bit, and a fraction of the size they have as text. */
export type Samples = Pick<AddTrace, 'frequencyHz' | 's11' | 's21' | 's12' | 's22'>;

const deflated = promisify(deflateRaw);
const inflated = promisify(inflateRaw);

/** Pairs in their order; which of them are there is a bit each of the first number. */
const PAIRS = ['s11', 's21', 's12', 's22'] as const;

/** 64-bit numbers, little end first: which pairs, the frequencies, then of each pair the real parts and the imaginary ones. */
export function packed(samples: Samples): Promise<Uint8Array> {
  const there = PAIRS.filter((pair) => samples[pair]);
  const mask = there.reduce((sum, pair) => sum + 2 ** PAIRS.indexOf(pair), 0);
  const all = [
    [mask],
    samples.frequencyHz,
    ...there.flatMap((pair) => {
      const { re = [], im = [] } = samples[pair] ?? {};
      return [re, im];
    }),
  ];
  const buffer = Buffer.allocUnsafe(8 * all.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const series of all) for (const value of series) at = buffer.writeDoubleLE(value, at);
  return deflated(buffer, { level: 1 });
}

/** @throws when the bytes are not what {@link packed} makes */
export async function unpacked(bytes: Uint8Array): Promise<Samples> {
  const buffer = await inflated(bytes);
  const mask = buffer.readDoubleLE(0);
  const there = PAIRS.filter((_, k) => (mask >> k) & 1);
  const count = (buffer.length / 8 - 1) / (1 + 2 * there.length);
  if (!Number.isInteger(count) || there[0] !== 's11') throw new Error('The samples of a sweep are damaged.');
  const series = (k: number): number[] =>
    Array.from({ length: count }, (_, n) => buffer.readDoubleLE(8 * (1 + k * count + n)));
  const pairs = there.map((pair, k) => [pair, { re: series(1 + 2 * k), im: series(2 + 2 * k) }]);
  return { frequencyHz: series(0), ...(Object.fromEntries(pairs) as Omit<Samples, 'frequencyHz'>) };
}

/** A sweep apart: what it is, and its samples. */
export function apart<T extends Samples>(trace: T): { about: Omit<T, keyof Samples>; samples: Samples } {
  const { frequencyHz, s11, s21, s12, s22, ...about } = trace;
  return { about, samples: { frequencyHz, s11, s21, s12, s22 } };
}
