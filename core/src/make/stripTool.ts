import { braidMm, type Cable } from '../catalog/index.js';
import type { GaugeStretch, StripGauge } from './stripGauge.js';

/** One blade of a strip tool: how far from the cut end, and what diameter it must leave whole; mm. */
export interface Blade {
  atMm: number;
  leavesMm: number;
  cutsInto: 'dielectric' | 'braid' | 'jacket';
}

/**
 * Blade settings for a bladed strip tool. A blade stops short of what it must not touch: 0.1 mm above a conductor,
 * 0.2 mm above a braid (common practice, no source), so the last skin tears instead of being cut.
 *
 * @returns one blade for each edge of the gauge, from the cut end; none for an end which is not stripped
 */
export function stripToolSettings({ stretches }: StripGauge, cable: Cable): Blade[] {
  const edge = (layer: GaugeStretch['layer']): Omit<Blade, 'atMm'> => {
    if (layer === 'centre') return { leavesMm: cable.centreMm + 0.2, cutsInto: 'dielectric' };
    if (layer === 'dielectric') return { leavesMm: cable.dielectricMm + 0.2, cutsInto: 'braid' };
    return { leavesMm: braidMm(cable) + 0.4, cutsInto: 'jacket' };
  };
  let atMm = 0;
  return stretches.map(({ layer, lengthMm }, k) => {
    atMm += lengthMm;
    // Where the braid is folded back nothing but the jacket is cut at the last edge.
    return { atMm, ...(k === stretches.length - 1 ? edge('braid') : edge(layer)) };
  });
}
