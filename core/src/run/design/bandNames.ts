import type { Band } from './design.js';

/**
 * A name no other band of the run has: the one that is wished for, or with a number behind it.
 *
 * @param others bands beside it
 * @example freshBandName([{ name: 'band', lowHz: 1, highHz: 2 }], 'band') // 'band 2'
 */
export function freshBandName(others: readonly Band[], wish: string): string {
  const taken = new Set(others.map(({ name }) => name.trim().toLowerCase()));
  const free = (name: string): boolean => !taken.has(name.trim().toLowerCase());
  if (free(wish)) return wish;
  const stem = wish.replace(/ \d+$/, '');
  let n = 2;
  while (!free(`${stem} ${n}`)) n++;
  return `${stem} ${n}`;
}
