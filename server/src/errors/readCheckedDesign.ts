import { readDesign } from '@kobran/contract';
import type { Catalog, Design } from '@kobran/core';
import { invalid } from './problem.js';

/** Reads a design of a request or refuses it with every problem; `where` is the design's own place in the request. */
export function readCheckedDesign(value: unknown, where: string, catalog: Catalog): Design {
  const read = readDesign(value, catalog);
  if (!read.ok) throw invalid(read.problems.map((one) => ({ ...one, where: `${where}.${one.where}` })));
  return read.design;
}
