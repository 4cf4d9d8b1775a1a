import type { Catalog } from '../../catalog/index.js';
import { formatFrequency, formatLength, type UnitSystem } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import { pieceName } from '../wave/layout.js';

/** One thing which is not as it was. */
export interface DesignChange {
  /** The piece it is about, for the ruler; nothing when it is no piece. */
  piece?: string;
  /** `Main cable: finished length 21.6 m, was 20.4 m` */
  text: string;
}

/** What an installer calls the members of a design. */
const names: Record<string, string> = {
  name: 'name',
  bands: 'band',
  lowHz: 'lowest frequency',
  highHz: 'highest frequency',
  powerW: 'power',
  duty: 'share of time on the air',
  lossBudgetDb: 'loss budget',
  dcFeed: 'direct current over the cable',
  ambientC: 'highest ambient',
  face: 'connector',
  swr: 'SWR',
  dcShort: 'joins pin and shell',
  drainMm: 'drain hole',
  passes: 'passes of rubber',
  stretch: 'stretch of the rubber',
  lap: 'lap',
  courtesy: 'courtesy layer',
  cable: 'cable',
  lengthM: 'length',
  part: 'connector',
  a: 'radio end',
  b: 'antenna end',
  target: 'electrical length',
  frequencyHz: 'frequency',
  degrees: 'degrees',
  lot: 'lot',
  set: 'set',
  count: 'count',
  label: 'label',
  adapter: 'adapter',
  arrester: 'arrester',
  tubeV: 'gas tube',
  reversed: 'turned round',
  kind: 'kind',
  zone: 'place',
  slackM: 'slack',
  boreMm: 'bore of its duct',
  bendRadiusMm: 'tightest bend',
  joint: 'joint',
  way: 'way',
};
const nameOf = (key: string): string => names[key] ?? key.replace(/([A-Z])/g, ' $1').toLowerCase();

/** Units are the last letters of a member’s name. */
const units: [RegExp, (value: number, system: UnitSystem) => string][] = [
  [/Hz$/, (value) => formatFrequency(value)],
  [/M$/, (value, system) => formatLength(value, { system, digits: 3, fraction: 32 })],
  [/Mm$/, (value, system) => formatLength(value / 1000, { system })],
  [/W$/, (value) => `${value} W`],
  [/Db$/, (value) => `${value} dB`],
  [/V$/, (value) => `${value} V`],
  [/C$/, (value) => `${value} °C`],
  [/K$/, (value) => `${value} K`],
];

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
  const said = (key: string, value: unknown): string => {
    if (value === undefined) return 'none';
    if (typeof value === 'boolean') return value ? 'yes' : 'no';
    if (typeof value === 'number')
      return units.find(([end]) => end.test(key))?.[1](value, system) ?? String(Number(value.toPrecision(6)));
    if (typeof value === 'string') return nameIn(catalog, key, value);
    return Array.isArray(value) ? `${value.length} in all` : 'given';
  };
  /** Differences of two values, each with the way to it. */
  const within = (was: unknown, is: unknown, path: readonly string[]): string[] => {
    if (hasMembers(was) && hasMembers(is)) {
      const keys = [...new Set([...Object.keys(was), ...Object.keys(is)])];
      return keys.flatMap((key) => within(was[key], is[key], [...path, key]));
    }
    if (was === is) return [];
    const key = path.at(-1) ?? '';
    const place = path
      .map((step) => (/^\d+$/.test(step) ? String(Number(step) + 1) : nameOf(step)))
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

/** The name of a catalogue entry which a member names; the text itself where it names none. */
function nameIn({ cables, parts, adapters, arresters }: Catalog, key: string, id: string): string {
  const shelves: Record<string, ReadonlyMap<string, { name: string }>> = {
    cable: cables,
    part: parts,
    adapter: adapters,
    arrester: arresters,
  };
  return shelves[key]?.get(id)?.name ?? (id === '' ? 'none' : id);
}
