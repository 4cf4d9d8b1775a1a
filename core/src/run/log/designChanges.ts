import type { Catalog } from '../../catalog/index.js';
import type { UnitSystem } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import { memberName, sayMember } from './sayMember.js';
import { pieceName } from '../wave/layout.js';

/** One thing which is not as it was. */
export interface DesignChange {
  /** The piece it is about, for the ruler; nothing when it is no piece. */
  piece?: string;
  /** `Main cable: finished length 21.6 m, was 20.4 m` */
  text: string;
}

/**
 * What is different between two states of a run, in words, in the order of the ruler. Nothing is left out: what has no words of its own
 * is named as the document names it.
 *
 * @example designChanges(design, design, catalog, 'metric')
 */
export function designChanges(
  before: Design,
  after: Design,
  catalog: Catalog,
  system: UnitSystem,
): DesignChange[] {
  const said = (key: string, value: unknown): string => sayMember(key, value, catalog, system);
  /** Differences of two values, each with the way to it. */
  const within = (was: unknown, is: unknown, path: readonly string[]): string[] => {
    if (hasMembers(was) && hasMembers(is)) {
      const keys = [...new Set([...Object.keys(was), ...Object.keys(is)])];
      return keys.flatMap((key) => within(was[key], is[key], [...path, key]));
    }
    if (was === is) return [];
    const key = path.at(-1) ?? '';
    const place = path
      .map((step) => (/^\d+$/.test(step) ? String(Number(step) + 1) : memberName(step)))
      .join(' ');
    return [`${place} ${said(key, is)}, was ${said(key, was)}`];
  };
  const about = (what: string, was: unknown, is: unknown, piece?: string): DesignChange[] =>
    within(was, is, []).map((text) => ({
      ...(piece === undefined ? {} : { piece }),
      text: `${what}: ${text}`,
    }));

  const {
    pieces: pieces0,
    radio: radio0,
    antenna: antenna0,
    legs: legs0,
    service: service0,
    ...rest0
  } = before;
  const { pieces, radio, antenna, legs, service, ...rest } = after;
  const order = pieces.filter(({ id }) => pieces0.some((one) => one.id === id)).map(({ id }) => id);
  const order0 = pieces0.filter(({ id }) => order.includes(id)).map(({ id }) => id);
  return [
    ...about('Run', rest0, rest),
    ...about('Service', service0, service),
    ...about('Equipment port', radio0, radio),
    ...pieces0
      .filter(({ id }) => pieces.every((one) => one.id !== id))
      .map((piece) => ({ text: `${pieceName(piece, catalog)} taken out` })),
    ...pieces.flatMap((piece): DesignChange[] => {
      const was = pieces0.find(({ id }) => id === piece.id);
      return was
        ? about(pieceName(piece, catalog), was, piece, piece.id)
        : [{ piece: piece.id, text: `${pieceName(piece, catalog)} put in` }];
    }),
    ...(order.join() === order0.join() ? [] : [{ text: 'The pieces stand in another order' }]),
    ...about('Antenna port', antenna0, antenna),
    ...legChanges(legs0, legs, about),
  ];
}

function legChanges(
  before: Design['legs'],
  after: Design['legs'],
  about: (what: string, was: unknown, is: unknown) => DesignChange[],
): DesignChange[] {
  const order = after.filter(({ id }) => before.some((leg) => leg.id === id)).map(({ id }) => id);
  const order0 = before.filter(({ id }) => order.includes(id)).map(({ id }) => id);
  return [
    ...before
      .filter(({ id }) => after.every((leg) => leg.id !== id))
      .map(({ name }) => ({ text: `Route: ${name} taken out` })),
    ...after.flatMap((leg): DesignChange[] => {
      const was = before.find(({ id }) => id === leg.id);
      return was ? about(`Route, ${leg.name}`, was, leg) : [{ text: `Route: ${leg.name} put in` }];
    }),
    ...(order.join() === order0.join() ? [] : [{ text: 'Route: the stretches stand in another order' }]),
  ];
}

const hasMembers = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;
