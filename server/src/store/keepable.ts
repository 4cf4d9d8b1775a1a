/** Deeper than any document of Kobran: a job file comes to ten. */
const MAX_DEPTH = 24;
/** More properties than any object has, more items than any list, more of both than any request: the rules look at each of them. */
const MAX_KEYS = 2000;
const MAX_ITEMS = 10_001;
const MAX_PARTS = 100_000;

/** What cannot be kept, where, and how to mend it. */
export interface Fault {
  code: string;
  message: string;
  where: string;
  remedy: string;
}

/** NUL cannot be kept in a text of the database, nor half a pair of UTF-16 in UTF-8. */
const UNKEEPABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** The first thing in a body which cannot be kept; each value is looked at once. */
export function faultOf(body: unknown, mostParts = MAX_PARTS): Fault | undefined {
  const open: [value: unknown, where: string, depth: number][] = [[body, '', 0]];
  let parts = 0;
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, where, depth] = next;
    if (typeof value === 'string' && UNKEEPABLE.test(value)) return unkeepable(where);
    if (typeof value !== 'object' || value === null) continue;
    if (depth === MAX_DEPTH) return tooMuch(where, `The request is nested more than ${MAX_DEPTH} deep.`);
    if (++parts > mostParts) return tooMuch('', `The request has more than ${mostParts} parts.`);
    const fault = Array.isArray(value)
      ? pushItems(value, where, depth, open)
      : pushProperties(value, where, depth, open);
    if (fault) return fault;
  }
  return undefined;
}

type Open = [value: unknown, where: string, depth: number][];

function pushItems(value: unknown[], where: string, depth: number, open: Open): Fault | undefined {
  if (value.length > MAX_ITEMS) return tooMuch(where, `The list has more than ${MAX_ITEMS} items.`);
  // Samples of a sweep are many, and nothing can be wrong with a number here.
  value.forEach((inner, k) => {
    if (typeof inner !== 'number') open.push([inner, `${where}[${k}]`, depth + 1]);
  });
  return undefined;
}

function pushProperties(value: object, where: string, depth: number, open: Open): Fault | undefined {
  const entries = Object.entries(value);
  if (entries.length > MAX_KEYS) return tooMuch(where, `The object has more than ${MAX_KEYS} properties.`);
  for (const [key, inner] of entries) {
    if (UNKEEPABLE.test(key)) return unkeepable(where);
    if (NO_NAMES.has(key)) return noName(key, where);
    open.push([inner, where === '' ? key : `${where}.${key}`, depth + 1]);
  }
  return undefined;
}

const tooMuch = (where: string, message: string): Fault => ({
  code: message.includes('deep') ? 'body.too-deep' : 'body.too-many',
  message,
  where: where.slice(0, MAX_WHERE),
  remedy: 'No document of Kobran is or has so much: see /api/docs.',
});

/** Names which every object of the language has already: no document gives them a meaning of its own. */
const NO_NAMES = new Set(['__proto__', 'constructor', 'prototype']);

const noName = (key: string, where: string): Fault => ({
  code: 'body.no-such-property',
  message: `No document of Kobran has a property “${key}”.`,
  where: where === '' ? key : `${where}.${key}`,
  remedy: 'Remove this property.',
});

const MAX_WHERE = 200;

const unkeepable = (where: string): Fault => ({
  code: 'text.unkeepable',
  message: 'A text holds a character which cannot be kept: NUL, or half of a pair.',
  where,
  remedy: 'Take the character out; it came from a broken copy.',
});
