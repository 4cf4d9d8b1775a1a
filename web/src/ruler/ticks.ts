import { METRES_PER_FOOT, type UnitSystem } from '@kobran/core';
import { ticks } from 'd3';

export interface Tick {
  atM: number;
  /** Empty on the short ticks between. */
  label: string;
}

/**
 * Ticks of the ruler in the unit in use, long ones labelled; a label too near the end of the ruler is left out.
 *
 * @param count about how many labelled ticks fit
 */
export function rulerTicks(totalM: number, units: UnitSystem, count: number): Tick[] {
  const perUnit = units === 'metric' ? 1 : METRES_PER_FOOT;
  const total = totalM / perUnit;
  const long = ticks(0, total, count);
  const step = long.length > 1 ? long[1] - long[0] : total || 1;
  const short = ticks(0, total, long.length * 5).filter((value) => value <= total);
  const isLong = (value: number): boolean => Math.abs(value / step - Math.round(value / step)) < 1e-6;
  return short.map((value) => ({
    atM: value * perUnit,
    label: isLong(value)
      ? `${Number(value.toFixed(3))}${value === 0 ? '' : units === 'metric' ? ' m' : ' ft'}`
      : '',
  }));
}
