import { expect, it } from 'vitest';
import { seriesById } from '../catalog/index.js';
import { judgeTorque } from './judgeTorque.js';

const n = seriesById.n.torqueNm ?? [NaN, NaN];

// IEC 61169-16, from memory: N is tightened to 0.7 to 1.1 N·m.
it.each([
  [0.9, 'pass'],
  [0.6, 'pass'],
  [1.2, 'pass'],
  [0.5, 'caution'],
  [2, 'caution'],
  [12, 'fail'],
  [0.1, 'fail'],
])('%d N·m at an N coupling: %s', (read, verdict) => expect(judgeTorque(n, read).verdict).toBe(verdict));

it('a series of one figure is held against that', () =>
  expect(judgeTorque([5, 5], 5).why).toBe('5 N·m is asked.'));
