import { buildMessage, ValidateBy, ValidateNested } from 'class-validator';
import { MAX_KEPT_POINTS } from '../limits.js';

/** Class-validator’s own check of nested objects lets a missing one pass, and a list in the place of an object. */

const isPlain = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const check = (name: string, holds: (value: unknown) => boolean, text: string): PropertyDecorator =>
  ValidateBy({
    name,
    validator: {
      validate: holds,
      defaultMessage: buildMessage((each) => `${each}$property must be ${text}`),
    },
  });

/** An object of the class which `@Type` names; missing only where it is optional. */
export const IsPart = (): PropertyDecorator => (target, key) => {
  ValidateNested()(target, key);
  check('isPart', isPlain, 'an object')(target, key);
};

/** A list of such objects; a list within it is none. */
export const AreParts = (): PropertyDecorator => (target, key) => {
  ValidateNested({ each: true })(target, key);
  check(
    'areParts',
    (value) => Array.isArray(value) && value.every(isPlain),
    'a list of objects',
  )(target, key);
};

/** Samples of a sweep: numbers, looked at in one pass, for there are many. */
export const AreSamples = (): PropertyDecorator =>
  check(
    'areSamples',
    (value) => Array.isArray(value) && value.length <= MAX_KEPT_POINTS && value.every(Number.isFinite),
    `a list of at most ${MAX_KEPT_POINTS} numbers`,
  );
