import type { AddTrace } from '@kobran/contract';
import type { Problem } from '@kobran/core';

/**
 * What the rules of a single value cannot see: every series has as many samples as there are frequencies, and these rise.
 *
 * @param within where the trace stands in what was sent, for the message
 */
export function traceProblem(trace: AddTrace, within = ''): Problem | undefined {
  const count = trace.frequencyHz.length;
  const wrong = (where: string, message: string, remedy: string): Problem => ({
    code: 'trace.malformed',
    message,
    where: `${within}${where}`,
    remedy,
  });
  for (const pair of ['s11', 's21', 's12', 's22'] as const)
    for (const part of ['re', 'im'] as const)
      if (trace[pair] && trace[pair][part].length !== count)
        return wrong(
          `${pair}.${part}`,
          `${pair}.${part} has ${trace[pair][part].length} samples for ${count} frequencies.`,
          'Send one sample for each frequency.',
        );
  const falls = trace.frequencyHz.findIndex((hz, k) => k > 0 && hz <= trace.frequencyHz[k - 1]);
  if (falls > 0 || trace.frequencyHz[0] < 0)
    return wrong(
      `frequencyHz[${Math.max(0, falls)}]`,
      'The frequencies do not rise from zero.',
      'Sort them, each once.',
    );
  return undefined;
}
