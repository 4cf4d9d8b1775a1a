import { METRES_PER_FOOT, type UnitSystem } from '@kobran/core';
import { ticks } from 'd3';

export interface Tick {
  atM: number;
  /** Empty on the short ticks between. */
  label: string;
}

/** A length named on a long tick: in metres or feet, and in mm or inches where the step is that fine. */
function named(value: number, step: number, units: UnitSystem): string {
  if (value === 0) return '0';
  if (units === 'metric')
    return step < 0.02 ? `${Math.round(value * 1000)} mm` : `${Number(value.toFixed(3))} m`;
  return step < 0.25 ? `${Number((value * 12).toFixed(2))} in` : `${Number(value.toFixed(3))} ft`;
}

/**
 * Ticks of the ruler in the unit in use over what is shown, long ones labelled.
 *
 * @param fromM first place shown, m
 * @param toM last place shown, m
 * @param count about how many labelled ticks fit
 */
export function rulerTicks(fromM: number, toM: number, units: UnitSystem, count: number): Tick[] {
  const perUnit = units === 'metric' ? 1 : METRES_PER_FOOT;
  const [from, to] = [fromM / perUnit, toM / perUnit];
  const long = ticks(from, to, count);
  const step = long.length > 1 ? long[1] - long[0] : to - from || 1;
  const short = ticks(from, to, long.length * 5).filter((value) => value >= from && value <= to);
  const isLong = (value: number): boolean => Math.abs(value / step - Math.round(value / step)) < 1e-6;
  return short.map((value) => ({
    atM: value * perUnit,
    label: isLong(value) ? named(value, step, units) : '',
  }));
}
