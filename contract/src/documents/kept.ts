import { IsInt, IsISO8601, Matches, Max, Min } from 'class-validator';

/** What the database can keep of what a document may say. */

/** Both databases count versions in 32 bits; one more must still fit. */
const MAX_VERSION = 2 ** 31 - 2;

const all =
  (...rules: PropertyDecorator[]): PropertyDecorator =>
  (target, key) =>
    rules.forEach((rule) => rule(target, key));

/** The version a change was made on; the least is 0 where nothing may stand yet. */
export const IsVersion = (least: 0 | 1): PropertyDecorator => all(IsInt(), Min(least), Max(MAX_VERSION));

/** A moment of ISO 8601 in the centuries radio is built in, with a zone which exists. */
export const IsMoment = (): PropertyDecorator =>
  all(
    IsISO8601({ strict: true }),
    Matches(/^(19|20|21)\d\d-\d\d-\d\dT\d\d:\d\d(:\d\d([.,]\d+)?)?(Z|[+-](0\d|1[0-4]):[0-5]\d)$/, {
      message: '$property must be a moment with its zone, like 2026-11-03T09:00:00Z',
    }),
  );

/** SHA-256 as it is written. */
export const IsSha256 = (): PropertyDecorator =>
  Matches(/^[0-9a-f]{64}$/, { message: '$property must be a SHA-256 in hexadecimal' });
