import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import type { Problem } from '@kobran/core';

/**
 * Reads an unknown value as an instance of a class with validation rules: whitelisted, nothing unknown, nested checked.
 *
 * @param where path of the value, put before the paths of its problems
 */
export function readAs<T extends object>(
  type: ClassConstructor<T>,
  value: object,
  where = '',
): { ok: true; value: T } | { ok: false; problems: Problem[] } {
  const instance = plainToInstance(type, value);
  const problems = validateSync(instance, {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
  }).flatMap((error) => problemsOf(error, where));
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: instance };
}

/** Class-validator's tree as flat problems with paths such as `pieces[2].lengthM`. */
export function problemsOf(error: ValidationError, parent: string): Problem[] {
  const own = /^\d+$|^$/.test(error.property)
    ? `${parent}[${error.property === '' ? '""' : error.property}]`
    : parent
      ? `${parent}.${error.property}`
      : error.property;
  const here = Object.entries(error.constraints ?? {}).map(([rule, message]): Problem => ({
    code: `value.${rule}`,
    message: sentence(message),
    where: own,
    remedy: rule === 'whitelistValidation' ? 'Remove this property.' : 'Correct this value.',
  }));
  return [...here, ...(error.children ?? []).flatMap((child) => problemsOf(child, own))];
}

const sentence = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}.`.replace(/\.\.$/, '.');
