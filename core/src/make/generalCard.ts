import type { RecipeInput, Step } from './recipe.js';
import { hasPart } from './steps/words.js';
import { finalCheck, secondPerson, shortCheck, signOff, through, tug } from './steps/check.js';
import {
  bareCentre,
  dressBraid,
  jacket,
  mark,
  partsCheck,
  slideOn,
  squareCut,
  strands,
} from './steps/prepare.js';

/** What a recipe adds to the general card. */
export interface OwnSteps {
  /** Train ids which slide on before anything is cut. */
  slide: string[];
  /** From the bare braid to a prepared end; braid trimmed and centre bared when not given. */
  prepare?: Step[];
  /** When the first short check comes: `Before the body goes on.` */
  firstCheck: string;
  /** Centre and body, each short check before what cannot be undone. */
  join: Step[];
  /** Nut, shrink, cap. */
  finish: Step[];
}

/**
 * The general card, whose order never changes: parts, slide on, square cut, mark, jacket, braid, dielectric, strands,
 * short check, centre and body, point of no return, tug, short and continuity check, finish, sign-off.
 * An end which is not stripped has neither marks nor bare strands.
 */
export function generalCard(input: RecipeInput, own: OwnSteps): Step[] {
  const stripped = input.gauge.stretches.length > 0;
  return [
    partsCheck(input),
    ...(own.slide.some((id) => hasPart(input, id)) ? [slideOn(input, own.slide)] : []),
    squareCut,
    ...(stripped
      ? [
          mark(input),
          jacket(input),
          ...(own.prepare ?? [dressBraid(input), bareCentre(input)]),
          ...(input.cable.shieldKind === 'tube' ? [] : [strands(input)]),
        ]
      : []),
    shortCheck('short1', own.firstCheck),
    ...own.join,
    tug(input),
    finalCheck,
    through(input),
    ...own.finish,
    ...(input.twoPersonCheck ? [secondPerson] : []),
    signOff(input),
  ];
}
