import { expect, it } from 'vitest';
import { parseTorque } from './index.js';

// NIST SP 811, appendix B.8: one pound-force inch is 0.112 984 8 N·m.
it.each([
  ['0.9', 0.9],
  ['0,9 N·m', 0.9],
  ['1 Nm', 1],
  ['8 in-lb', 8 * 0.1129848],
  ['8 in lbf', 8 * 0.1129848],
  ['0.7 ft-lb', 0.7 * 12 * 0.1129848],
  ['90 N·cm', 0.9],
  ['90 Ncm', 0.9],
])('%s', (text, nm) => {
  const read = parseTorque(text);
  expect(read.ok && read.value).toBeCloseTo(nm, 5);
});

it.each(['', 'tight', '0', '-1', '9000', '3 m'])('“%s” is none', (text) =>
  expect(parseTorque(text).ok).toBe(false),
);
