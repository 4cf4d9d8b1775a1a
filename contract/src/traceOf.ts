import type { Trace } from '@kobran/core';
import type { StoredTrace } from './responses.js';

/** A kept trace as core computes with it. */
export function traceOf({
  frequencyHz,
  referenceOhm,
  s11,
  s21,
  s12,
  s22,
}: Pick<StoredTrace, 'frequencyHz' | 'referenceOhm' | 's11' | 's21' | 's12' | 's22'>): Trace {
  const series = ({ re, im }: { re: number[]; im: number[] }) => ({
    re: Float64Array.from(re),
    im: Float64Array.from(im),
  });
  return {
    ports: s21 ? 2 : 1,
    referenceOhm,
    frequencyHz: Float64Array.from(frequencyHz),
    s: {
      s11: series(s11),
      ...(s21 ? { s21: series(s21) } : {}),
      ...(s12 ? { s12: series(s12) } : {}),
      ...(s22 ? { s22: series(s22) } : {}),
    },
  };
}
