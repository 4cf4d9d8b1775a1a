import { expect, it } from 'vitest';
import { formatWireSize, parseWireSize } from './wireSize.js';

// ASTM B258: 6 AWG is 13.3 mm², 10 AWG 5.26 mm², 2/0 67.4 mm².
it.each([
  ['16 mm²', 16],
  ['16mm2', 16],
  ['2,5', 2.5],
  ['6 AWG', 13.3],
  ['#10', 5.26],
  ['2/0', 67.4],
  ['2/0 awg', 67.4],
])('%s', (text, mm2) => {
  const read = parseWireSize(text);
  expect(read.ok && read.value).toBeCloseTo(mm2, 1);
});

it.each(['', '0', '-4 mm²', 'thick', '6 AWG 7', '#'])('“%s” is no size', (text) =>
  expect(parseWireSize(text).ok).toBe(false),
);

it('is written as it is bought', () => {
  expect([13.3, 16, 67.4, 53.5].map((mm2) => formatWireSize(mm2, 'imperial'))).toEqual([
    '6 AWG',
    '5 AWG',
    '2/0 AWG',
    '1/0 AWG',
  ]);
  expect(formatWireSize(5.26, 'metric')).toBe('5.3 mm²');
});
