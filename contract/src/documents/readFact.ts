import { isObject, type Fact, type Problem } from '@kobran/core';
import { factRules } from './facts.js';
import { readAs } from './readAs.js';

/** Reads an unknown value as a fact: its kind known, its members those of the kind. */
export function readFact(
  value: unknown,
  where = '',
): { ok: true; fact: Fact } | { ok: false; problems: Problem[] } {
  const at = (member: string): string => (where === '' ? member : `${where}.${member}`);
  if (!isObject(value))
    return refused('fact.not-an-object', 'A fact is a JSON object.', where || 'fact', 'Write it out.');
  const kinds = Object.keys(factRules);
  if (typeof value.kind !== 'string' || !kinds.includes(value.kind))
    return refused(
      'fact.kind',
      `“${String(value.kind)}” is not a kind of fact.`,
      at('kind'),
      `Use one of ${kinds.join(', ')}.`,
    );
  const read = readAs(factRules[value.kind as Fact['kind']], value, where);
  // The rules of its kind held, so it has the shape of its kind.
  return read.ok ? { ok: true, fact: plain(read.value) as Fact } : read;
}

const plain = (value: object): unknown => JSON.parse(JSON.stringify(value));

const refused = (
  code: string,
  message: string,
  where: string,
  remedy: string,
): { ok: false; problems: Problem[] } => ({ ok: false, problems: [{ code, message, where, remedy }] });
