import { formatDecibels } from './decibel.js';
import { formatFrequency } from './frequency.js';
import { formatLength, type UnitSystem } from './length.js';
import { formatPower } from './power.js';
import { formatResistance } from './resistance.js';

/** Exact, by the international yard and pound agreement of 1959. */
const KG_PER_POUND = 0.45359237;

const SQUARE_FOOT = 0.3048 ** 2;

const NEWTONS_PER_POUND = KG_PER_POUND * 9.80665;

export type FigureUnit =
  | 'm'
  | 'cut'
  | 'mm'
  | 'Hz'
  | 'W'
  | 'V'
  | 'dB'
  | 'ohm'
  | 'uH'
  | 'deg'
  | 'ratio'
  | 'count'
  | 'minute'
  | 'kg'
  | 'N'
  | 'm2'
  | 'times';

/** A number which can answer for itself: unit, spread and where it comes from. */
export interface Figure {
  value: number;
  /** Lengths are metres whatever the unit: `m`, `cut` to the millimetre or 1/16 in, `mm` for things measured with a rule. */
  unit: FigureUnit;
  /** Half-width of the interval the true value is expected in, same unit. */
  plusMinus?: number;
  /** Formula, standard or practice the number rests on. */
  source: string;
}

/**
 * Makes a figure.
 *
 * @param value in SI (a length shown in `mm` is still metres)
 * @param source formula, standard or practice
 */
export function figure(value: number, unit: FigureUnit, source: string, plusMinus?: number): Figure {
  return plusMinus === undefined ? { value, unit, source } : { value, unit, source, plusMinus };
}

/**
 * Writes a figure in the units of the shop.
 *
 * @example formatFigure(figure(24.2, 'm', 'sum of legs'), 'metric') // '24.20 m'
 */
export function formatFigure({ value, unit, plusMinus = 0 }: Figure, system: UnitSystem): string {
  // A phase is not said finer than it is known.
  if (unit === 'deg' && plusMinus >= 0.5) return `${Math.round(value)}°`;
  return formats[unit](value, system);
}

/** Beyond these lengths a tape gives half centimetres, and centimetres. Common practice, no source. */
const TAPE_MM_M = 2;
const TAPE_CM_M = 10;

/**
 * A length as a tape can give it: to the nearest millimetre below 2 m; above, in steps of 5 mm and from 10 m of 1 cm, never shorter
 * than asked for.
 *
 * @example tapeM(24.893) // 24.9
 */
export function tapeM(metres: number): number {
  if (metres < TAPE_MM_M) return Math.round(metres * 1000) / 1000;
  const step = metres < TAPE_CM_M ? 0.005 : 0.01;
  return Math.ceil(metres / step - 1e-6) * step;
}

const formats: Record<FigureUnit, (value: number, system: UnitSystem) => string> = {
  m: (value, system) => formatLength(value, { system }),
  cut: (value, system) =>
    formatLength(system === 'metric' ? tapeM(value) : value, { system, digits: value < TAPE_CM_M ? 3 : 2 }),
  mm: (value, system) => formatLength(value, { system, small: true, fraction: 32 }),
  Hz: formatFrequency,
  W: formatPower,
  V: (value) =>
    value < 2_000
      ? `${value < 100 ? Number(value.toPrecision(2)) : Math.round(value)} V`
      : `${value < 100_000 ? (value / 1000).toFixed(1) : Math.round(value / 1000)} kV`,
  dB: formatDecibels,
  ohm: formatResistance,
  uH: (value) => `${value.toFixed(2)} µH`,
  deg: (value) => `${value.toFixed(1)}°`,
  ratio: (value) => value.toFixed(2),
  count: (value) => String(Math.round(value)),
  kg: (value, system) =>
    system === 'metric' ? `${value.toFixed(1)} kg` : `${(value / KG_PER_POUND).toFixed(1)} lb`,
  N: (value, system) =>
    system === 'metric'
      ? `${value < 100 ? value.toFixed(0) : Math.round(value / 10) * 10} N`
      : `${(value / NEWTONS_PER_POUND).toFixed(0)} lbf`,
  m2: (value, system) =>
    system === 'metric' ? `${value.toFixed(2)} m²` : `${(value / SQUARE_FOOT).toFixed(1)} ft²`,
  times: (value) => `${value < 10 ? value.toFixed(1) : Math.round(value)} ×`,
  minute: (value) => `${Math.round(value)} min`,
};

/** The spread of a figure in its own unit, `± 0.12 dB`, or an empty text when none is stated. */
export function formatSpread({ plusMinus, unit, source }: Figure, system: UnitSystem): string {
  // Nothing give or take says nothing.
  if (plusMinus === undefined || plusMinus === 0) return '';
  const inAll = unit === 'cut' && system === 'metric' ? formats.m(plusMinus, system) : undefined;
  return `± ${inAll ?? formatFigure({ value: plusMinus, unit, source, plusMinus }, system)}`;
}
