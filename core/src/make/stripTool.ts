import { braidMm, type Cable } from '../catalog/index.js';
import { METRES_PER_INCH, type UnitSystem } from '../quantity/index.js';
import type { GaugeStretch, StripGauge } from './stripGauge.js';

/** One blade of a strip tool: how far from the cut end, and what diameter it must leave whole; mm. */
export interface Blade {
  atMm: number;
  leavesMm: number;
  cutsInto: 'dielectric' | 'braid' | 'jacket';
}

/**
 * Blade settings for a bladed strip tool. A blade stops short of what it must not touch, so the last skin tears instead of being
 * cut: 0.1 mm above a conductor or dielectric, 0.2 mm above a braid, and never more than half the wall it has to cut
 * (common practice, no source).
 *
 * @returns one blade for each edge of the gauge, from the cut end; none for an end which is not stripped
 */
export function stripToolSettings({ stretches }: StripGauge, cable: Cable): Blade[] {
  const blade = (cutsInto: Blade['cutsInto'], innerMm: number, outerMm: number, clearMm: number) => ({
    leavesMm: innerMm + Math.min(2 * clearMm, (outerMm - innerMm) / 2),
    cutsInto,
  });
  const edge = (layer: GaugeStretch['layer']): Omit<Blade, 'atMm'> => {
    if (layer === 'centre') return blade('dielectric', cable.centreMm, cable.dielectricMm, 0.1);
    if (layer === 'dielectric') return blade('braid', cable.dielectricMm, braidMm(cable), 0.1);
    return blade('jacket', braidMm(cable), cable.jacketMm, 0.2);
  };
  let atMm = 0;
  return stretches.map(({ layer, lengthMm }, k) => {
    atMm += lengthMm;
    // Where the braid is folded back nothing but the jacket is cut at the last edge.
    return { atMm, ...(k === stretches.length - 1 ? edge('braid') : edge(layer)) };
  });
}

/**
 * A diameter at a blade, as a caliper shows it: to a tenth of a millimetre, or a thousandth of an inch.
 *
 * @example formatCaliper(1.72, 'metric') // '1.7 mm'
 */
export const formatCaliper = (mm: number, system: UnitSystem): string =>
  system === 'metric' ? `${mm.toFixed(1)} mm` : `${(mm / 1000 / METRES_PER_INCH).toFixed(3)} in`;
