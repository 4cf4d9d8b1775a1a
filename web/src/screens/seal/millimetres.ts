import { ok, parseLength, type Result } from '@kobran/core';

/** Of a material: to a thousandth, as its makers give it. */
export const inMm = (metres: number): number => Number((metres * 1000).toFixed(3));

/** A thickness in mm; a bare number is one, inches are taken. */
export function parseMm(text: string): Result<number> {
  const read = parseLength(text, { unit: 'mm' });
  return read.ok ? ok(inMm(read.value)) : read;
}
