import { catalog, type AnyPiece, type Design, type Element } from '@kobran/core';
import { layOut } from './insides.js';

/** A run of so many pieces: cables with adapters between them and an arrester. */
const piecesOf = (length: number): AnyPiece[] =>
  Array.from({ length }, (_, k): AnyPiece => {
    if (k === 5) return { kind: 'arrester', id: 'arrester', arrester: 'gas-n', reversed: true, tubeV: 230 };
    if (k % 2 === 1) return { kind: 'adapter', id: `a${k}`, adapter: 'n-jack-to-n-jack', reversed: false };
    return {
      kind: 'assembly',
      id: `c${k}`,
      label: `Cable ${k}`,
      cable: k % 4 === 0 ? 'rg213' : 'c400',
      lengthM: 2 + k,
      a: { part: 'n-plug-crimp-10mm' },
      b: { part: 'n-plug-crimp-10mm' },
    };
  });

export const designOf = (count: number): Design => ({
  schema: 'kobran-design/1',
  name: 'Benchmark',
  service: {
    bands: [{ name: 'band', lowHz: 430e6, highHz: 440e6 }],
    powerW: 25,
    duty: 1,
    lossBudgetDb: 6,
    dcFeed: false,
    ambientC: 30,
  },
  radio: { name: 'Set', face: 'n-jack', handheld: false },
  antenna: { name: 'Aerial', face: 'n-plug', swr: 1.5, dcShort: true },
  pieces: piecesOf(count),
  legs: [{ id: 'leg', name: 'all of it', kind: 'indoor tray', zone: 'dry', lengthM: 40, slackM: 1 }],
});

export const grid = (points: number): Float64Array =>
  Float64Array.from({ length: points }, (_, k) => 420e6 + (k * 30e6) / (points - 1));
export const elementsOf = (design: Design): Element[] =>
  layOut(design, catalog, []).elements.map(({ element }) => element);

/** An antenna of 75 ohm. */
export const load = { re: 75, im: 0 };
