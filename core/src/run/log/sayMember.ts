import type { Catalog } from '../../catalog/index.js';
import { formatFrequency, formatLength, type UnitSystem } from '../../quantity/index.js';

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
  woundM: 'wound as a choke',
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

export const memberName = (key: string): string => names[key] ?? key.replace(/([A-Z])/g, ' $1').toLowerCase();

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

/** A member’s value in words, with the unit its name ends with. */
export function sayMember(key: string, value: unknown, catalog: Catalog, system: UnitSystem): string {
  if (value === undefined) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number')
    return units.find(([end]) => end.test(key))?.[1](value, system) ?? String(Number(value.toPrecision(6)));
  if (typeof value === 'string') return nameIn(catalog, key, value);
  return Array.isArray(value) ? `${value.length} in all` : 'given';
}

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
