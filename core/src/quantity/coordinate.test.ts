import { expect, it } from 'vitest';
import { parseCoordinate } from './coordinate.js';

// South and west are negative: ISO 6709.
it.each([
  ['51.3', 90, 51.3],
  ['51,3 N', 90, 51.3],
  ['S 33.9°', 90, -33.9],
  ['-4.2', 180, -4.2],
  ['4.2w', 180, -4.2],
  ['179.9 E', 180, 179.9],
] as const)('%s', (text, most, value) => expect(parseCoordinate(text, most)).toEqual({ ok: true, value }));

it.each(['', '91', '4.2 W', '-4 S', 'north', '51 18 0'])('“%s” is no latitude', (text) =>
  expect(parseCoordinate(text, 90).ok).toBe(false),
);
