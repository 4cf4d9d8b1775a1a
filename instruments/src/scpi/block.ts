/** Definite-length block of IEEE 488.2, 8.7.9: `#`, how many digits follow, the length in bytes, the bytes. */
export function block(values: ArrayLike<number>, format: 'REAL,64' | 'REAL,32'): Buffer {
  const size = format === 'REAL,64' ? 8 : 4;
  const bytes = Buffer.alloc(values.length * size);
  for (let k = 0; k < values.length; k++)
    if (size === 8) bytes.writeDoubleBE(values[k], k * size);
    else bytes.writeFloatBE(values[k], k * size);
  const length = String(bytes.length);
  return Buffer.concat([Buffer.from(`#${length.length}${length}`), bytes]);
}

/** Numbers as an instrument writes them, with every digit they have. */
export const listed = (values: ArrayLike<number>): string => Array.from(values, nr3).join(',');

/** One number; what is over the range is 9.9E37 (SCPI-99, volume 1, 7.2.1.4). */
export function nr3(value: number): string {
  if (Number.isNaN(value)) return '9.91E37';
  if (!Number.isFinite(value)) return value > 0 ? '9.9E37' : '-9.9E37';
  return value.toExponential().toUpperCase();
}
