import { readTouchstone, thinned, type ReadTrace, type Result } from '@kobran/core';

export const traceWork = {
  /** Reads a file in a thread of its own, so that the page stays at hand; more points than are kept are thinned. */
  read(text: string, name: string, most: number): Result<ReadTrace> {
    const result = readTouchstone(text, name);
    if (!result.ok) return result;
    const { trace, notes } = result.value;
    const few = thinned(trace, most);
    const thinning =
      few === trace
        ? []
        : [`${trace.frequencyHz.length} points were thinned to ${most}, evenly over the sweep.`];
    return { ok: true, value: { trace: few, notes: [...notes, ...thinning] } };
  },
};
