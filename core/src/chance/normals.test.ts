import { describe, expect, it } from 'vitest';
import { normals } from './index.js';

describe('normal deviates', () => {
  const normal = normals(11);
  const many = Array.from({ length: 50_000 }, normal);
  const share = (within: number): number =>
    many.filter((one) => Math.abs(one) <= within).length / many.length;

  // Standard tables of the normal distribution: 68.27 %, 95.45 % and 99.73 % within one, two and three deviations.
  it.each([
    [1, 0.6827],
    [2, 0.9545],
    [3, 0.9973],
  ])('within %d deviations lie %d', (within, expected) => expect(share(within)).toBeCloseTo(expected, 2));

  it('follow from the seed alone', () => {
    const [a, b] = [normals(3), normals(3)];
    for (let k = 0; k < 5; k++) expect(a()).toBe(b());
  });
});
