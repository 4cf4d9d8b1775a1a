import { cascadeOver } from './cascade.js';
import type { Element } from './element.js';
import { append, CHUNK, eachOf, emptyPlane, evenStep, touchesOf, writeOver, type Touches } from './planes.js';

/** An element, or what follows one another taken for one: its chain matrix in a plane for each chunk of frequencies. */
interface Part {
  number: number;
  touches: Touches;
  planes: Float64Array[];
}

/**
 * A cascade which remembers its last one: where a piece was changed, that piece is worked out and what it is part of, not the others.
 *
 * Neighbours are multiplied two and two, and their products two and two again: after a change of one among n elements about
 * log₂ n products are made anew. Its numbers are those of {@link cascadeOver} to rounding. What it holds of the last cascade:
 * about 64 bytes for each frequency, twice for each element.
 */
export function rememberingCascade(): typeof cascadeOver {
  let last = new Map<string, Part>();
  let frequencies = new Float64Array();
  let parts = 0;
  /** Planes of parts which are no more, to be written over. */
  const spare: Float64Array[] = [];
  return (elements, frequenciesHz, each) => {
    if (frequenciesHz.length < CHUNK || elements.length === 0)
      return cascadeOver(elements, frequenciesHz, each);
    if (!sameNumbers(frequencies, frequenciesHz)) {
      frequencies = frequenciesHz.slice();
      last.clear();
      spare.length = 0;
    }
    const chunks = inChunks(frequencies);
    const now = new Map<string, Part>();
    const part = (
      name: string,
      touches: Touches,
      write: (plane: Float64Array, chunk: number) => void,
    ): Part => {
      const planesOf = (): Float64Array[] =>
        chunks.map((_, c) => {
          const plane = spare.pop() ?? emptyPlane();
          write(plane, c);
          return plane;
        });
      const one = now.get(name) ?? last.get(name) ?? { number: parts++, touches, planes: planesOf() };
      now.set(name, one);
      return one;
    };
    const product = (left: Part, right: Part): Part =>
      part(`${left.number} ${right.number}`, 'all', (plane, c) => {
        plane.set(left.planes[c]);
        append(plane, right.touches, right.planes[c], chunks[c].length);
      });
    const kinds = new Map(
      elements.map((element): [Element, Part] => [
        element,
        part(JSON.stringify(element), touchesOf(element), (plane, c) =>
          writeOver(element, chunks[c], evenStep(chunks[c]), plane),
        ),
      ]),
    );
    let row = elements.map((element) => kinds.get(element)!);
    while (row.length > 1)
      row = row.flatMap((left, k) =>
        k % 2 === 1 ? [] : k + 1 < row.length ? [product(left, row[k + 1])] : [left],
      );
    for (const [name, { planes }] of last) if (!now.has(name)) spare.push(...planes);
    last = now;
    row[0].planes.forEach((plane, c) =>
      eachOf(plane, chunks[c].length, (total, k) => each(total, c * CHUNK + k)),
    );
  };
}

const inChunks = (hz: Float64Array): Float64Array[] =>
  Array.from({ length: Math.ceil(hz.length / CHUNK) }, (_, c) => hz.subarray(c * CHUNK, (c + 1) * CHUNK));

const sameNumbers = (x: Float64Array, y: Float64Array): boolean =>
  x.length === y.length && x.every((value, k) => value === y[k]);
