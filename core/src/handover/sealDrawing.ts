import type { Shape } from '../make/index.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import type { WrapSheet } from '../run/index.js';
import { TEXT_WIDTH_MM, type Block } from './report.js';

const HEIGHT = 40;
const AXIS = 17;
const MAX_HALF_MM = 14;

/** A sealed joint in profile, its layers as lines over the steps, the lower side to the left; to scale, as large as the page takes. */
export function sealDrawing(
  { name, profile, wrap }: Pick<WrapSheet, 'name' | 'profile' | 'wrap'>,
  units: UnitSystem,
): Block | undefined {
  if (!wrap) return undefined;
  const scale = Math.min(TEXT_WIDTH_MM / wrap.length.value, (2 * MAX_HALF_MM) / wrap.finishedDiameter.value);
  const left = (TEXT_WIDTH_MM - wrap.length.value * scale) / 2;
  const x = (alongM: number): number => left + (alongM - wrap.fromM) * scale;
  const small = (metres: number): string => formatLength(metres, { system: units, small: true, digits: 0 });
  const both = (fromM: number, toM: number, diameterM: number, what: string, thick: number): Shape[] =>
    [-1, 1].map((side) => ({
      kind: 'line',
      x: x(fromM),
      y: AXIS + (side * diameterM * scale) / 2,
      toX: x(toM),
      toY: AXIS + (side * diameterM * scale) / 2,
      stroke: 'ink',
      thick,
      what,
    }));
  let at = 0;
  const steps = profile.map(({ name: what, lengthM, diameterM }): Shape => {
    const box: Shape = {
      kind: 'box',
      x: x(at),
      y: AXIS - (diameterM * scale) / 2,
      width: lengthM * scale,
      height: diameterM * scale,
      fill: 'dielectric',
      stroke: 'muted',
      what,
    };
    at += lengthM;
    return box;
  });
  const layers = wrap.layers.flatMap(({ name: what, surface, fromM, toM }) =>
    surface
      .filter((stretch) => stretch.toM > fromM && stretch.fromM < toM)
      .flatMap((stretch) =>
        both(Math.max(fromM, stretch.fromM), Math.min(toM, stretch.toM), stretch.diameterM, what, 0.25),
      ),
  );
  const text = `${name}: ${small(wrap.length.value)} long, ${small(wrap.finishedDiameter.value)} thick; ${wrap.layers.map((layer) => layer.name).join(', ')}`;
  return {
    kind: 'drawing',
    heightMm: HEIGHT,
    shapes: [
      ...steps,
      ...layers,
      { kind: 'text', x: 0, y: AXIS + MAX_HALF_MM + 2, width: TEXT_WIDTH_MM, sizePt: 8, text, ink: 'muted' },
    ],
    says: text,
  };
}
