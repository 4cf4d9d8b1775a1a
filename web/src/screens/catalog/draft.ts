import { readShopEntry } from '@kobran/contract';
import type { Problem, ShopEntry } from '@kobran/core';
import { slugOf } from '../../store/slugOf.js';
import { fields } from './fields.js';
import type { OwnKind } from './kinds.js';

/** An entry as it is being typed: anything may be missing or wrong yet. */
export type Draft = Readonly<Record<string, unknown>>;

/** Reads a property; `faces.1` is the second of a list, `device.lowHz` what stands within another. */
export function read(draft: Draft, key: string): unknown {
  const [first, second] = key.split('.');
  const value = draft[first];
  return second === undefined ? value : (value as Record<string, unknown> | undefined)?.[second];
}

export function written(draft: Draft, key: string, value: unknown): Draft {
  const [first, second] = key.split('.');
  if (second === undefined) return { ...draft, [first]: value };
  const held = draft[first];
  if (!Array.isArray(held))
    return { ...draft, [first]: { ...(held as object | undefined), [second]: value } };
  return { ...draft, [first]: held.map((one: unknown, k) => (k === Number(second) ? value : one)) };
}

export interface Checked {
  id: string;
  name: string;
  /** Ready to be kept. */
  entry: ShopEntry | undefined;
  /** Sound in its dimensions, so that it can be drawn, even before it has a name. */
  sketch: ShopEntry | undefined;
  /** By the key of the field. */
  problems: ReadonlyMap<string, string>;
  /** Of no field. */
  others: Problem[];
  pins: string | undefined;
}

const pathOf = (key: string): string => key.replace(/\.(\d)$/, '[$1]');

/** Checks a draft as the server will. */
export function check(kind: OwnKind, draft: Draft, keptId: string | undefined): Checked {
  const name = typeof draft.name === 'string' ? draft.name : '';
  const id = keptId ?? slugOf(name);
  const whole = readShopEntry(kind, { ...draft, id });
  const found = whole.ok ? [] : whole.problems;
  const drawn = readShopEntry(kind, {
    ...draft,
    id: id || 'own',
    name: name || '…',
    ...('source' in draft ? { source: draft.source || '…' } : {}),
  });
  const problems = new Map(
    fields[kind].flatMap(({ key }): [string, string][] => {
      const problem = found.find(({ where }) => where === pathOf(key));
      return problem ? [[key, `${problem.message} ${problem.remedy}`]] : [];
    }),
  );
  const paths = new Set(fields[kind].map(({ key }) => pathOf(key)));
  return {
    id,
    name,
    entry: whole.ok ? whole.entry : undefined,
    sketch: drawn.ok ? drawn.entry : undefined,
    problems,
    others: found.filter(({ where }) => !paths.has(where) && !where.startsWith('pins')),
    pins: found.find(({ where }) => where.startsWith('pins'))?.message,
  };
}
