import type { Trace } from '../trace.js';

/**
 * Writes a trace as Touchstone 1.1, real and imaginary, frequencies in Hz: what is read back is the same to the last digit.
 *
 * @param comments lines for the head, without the `!`
 */
export function writeTouchstone(
  { ports, referenceOhm, frequencyHz, s, noise = [] }: Trace,
  comments: readonly string[] = [],
): string {
  const pairs = ports === 1 ? ([s.s11] as const) : ([s.s11, s.s21, s.s12, s.s22] as const);
  const lines = [
    ...comments.map((comment) => `! ${comment.replace(/[\r\n]+/g, ' ')}`),
    `# Hz S RI R ${referenceOhm}`,
  ];
  for (let k = 0; k < frequencyHz.length; k++)
    lines.push(
      [frequencyHz[k], ...pairs.flatMap((pair) => (pair ? [pair.re[k], pair.im[k]] : [0, 0]))].join(' '),
    );
  for (const row of noise) lines.push(row.join(' '));
  return `${lines.join('\n')}\n`;
}
