import type { Placed, RecipeInput } from '../recipe.js';

/** `a`, `a and b`, `a, b and c`. */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** Length of one stretch of a gauge, mm; 0 when the end has none. */
export const stretch = ({ stretches }: RecipeInput['gauge'], layer: string): number =>
  stretches.find((one) => one.layer === layer)?.lengthMm ?? 0;

/** The named items of the train, in its order. */
export const placed = ({ part }: RecipeInput, ...ids: string[]): Placed[] =>
  part.train
    .filter(({ id }) => ids.includes(id))
    .map(({ id, name, direction }) => ({ id, name, ...(direction ? { direction } : {}) }));

export const hasPart = ({ part }: Pick<RecipeInput, 'part'>, item: string): boolean =>
  part.train.some(({ id }) => id === item);

export const ratchetCaution =
  'A ratchet tool does not let go until it is closed or its lever is pressed: fingers out.';
