import { scaleLinear } from 'd3';
import type { Place3 } from '@kobran/core';

/** What of a place goes to the right, and what goes up. */
export interface View {
  name: 'plan' | 'south' | 'west';
  across: (place: Place3) => number;
  up: (place: Place3) => number;
}

export const plan: View = { name: 'plan', across: ({ xM }) => xM, up: ({ yM }) => yM };
/** Seen from the south. */
export const fromSouth: View = { name: 'south', across: ({ xM }) => xM, up: ({ zM }) => zM };

/** Seen from the west: north is to the left. */
export const fromWest: View = { name: 'west', across: ({ yM }) => -yM, up: ({ zM }) => zM };

/** A place with other coordinates in this view, the third one kept. */
export function moved<P extends Place3>({ name }: View, place: P, across: number, up: number): P {
  switch (name) {
    case 'plan':
      return { ...place, xM: across, yM: up };
    case 'south':
      return { ...place, xM: across, zM: up };
    case 'west':
      return { ...place, yM: -across, zM: up };
  }
}

/** Dragged points stand on a grid of a hand’s breadth, m. */
export const SNAP_M = 0.1;
export const snapped = (metres: number): number => Number((Math.round(metres / SNAP_M) * SNAP_M).toFixed(3));

export interface Projection {
  x: (place: Place3) => number;
  y: (place: Place3) => number;
  /** From px back to metres, across and up. */
  back: (px: number, py: number) => [across: number, up: number];
  pxPerM: number;
}

/** The smallest width and height that is shown, m: a lone point is no map of a millimetre. */
const LEAST_M = 2;

/**
 * Fits places into a drawing, both directions to one scale.
 *
 * @param pad room on every side, px: left, top, right, bottom
 */
export function projectionOf(
  view: View,
  places: readonly Place3[],
  [width, height]: readonly [number, number],
  pad: readonly [number, number, number, number],
): Projection {
  const [acrosses, ups] = [places.map(view.across), places.map(view.up)];
  const [left, right] = range(acrosses);
  const [low, high] = range(ups);
  const room = [Math.max(10, width - pad[0] - pad[2]), Math.max(10, height - pad[1] - pad[3])];
  const pxPerM = Math.min(room[0] / (right - left), room[1] / (high - low));
  const x0 = pad[0] + (room[0] - (right - left) * pxPerM) / 2;
  const y0 = pad[1] + (room[1] - (high - low) * pxPerM) / 2;
  const sx = scaleLinear([left, right], [x0, x0 + (right - left) * pxPerM]);
  const sy = scaleLinear([low, high], [y0 + (high - low) * pxPerM, y0]);
  return {
    x: (place) => sx(view.across(place)),
    y: (place) => sy(view.up(place)),
    back: (px, py) => [sx.invert(px), sy.invert(py)],
    pxPerM,
  };
}

function range(values: readonly number[]): [number, number] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  if (values.length === 0) return [0, LEAST_M];
  const missing = Math.max(0, LEAST_M - (high - low)) / 2;
  return [low - missing, high + missing];
}

/** The same drawing moved and enlarged. */
export const zoomed = (
  { x, y, back, pxPerM }: Projection,
  { k, x: dx, y: dy }: { k: number; x: number; y: number },
): Projection => ({
  x: (place) => x(place) * k + dx,
  y: (place) => y(place) * k + dy,
  back: (px, py) => back((px - dx) / k, (py - dy) / k),
  pxPerM: pxPerM * k,
});

/** A length for the scale bar: 1, 2 or 5 of something, at most this wide. */
export function barM(pxPerM: number, widestPx: number): number {
  const most = widestPx / pxPerM;
  const ten = 10 ** Math.floor(Math.log10(most));
  return [5, 2, 1].map((n) => n * ten).find((metres) => metres <= most) ?? ten;
}
