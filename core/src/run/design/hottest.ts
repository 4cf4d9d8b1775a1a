import type { ZoneSpan } from '../../route/index.js';
import type { Design } from './design.js';

/** The ambient in the hottest leg between two places of the ruler, °C: a cable is as good as its hottest metre. */
export function hottestC(
  { legs, service: { ambientC } }: Design,
  spans: readonly ZoneSpan[],
  fromM: number,
  toM: number,
): number {
  const there = spans.filter((span) =>
    fromM === toM ? span.toM >= fromM && span.fromM <= toM : span.toM > fromM && span.fromM < toM,
  );
  return ambientC + Math.max(0, ...there.map(({ leg }) => legs[leg].hotterK ?? 0));
}
