import { faceOf, seriesOf, type Part, type SeriesId } from '../catalog/index.js';
import type { LineElement } from '../line/index.js';

/**
 * How fast a wave is inside a connector: beads of PTFE with air between them, or solid. The world's own figures, which nobody at the bench is
 * told: what the coach counts for a connector comes from the catalogue. Common practice, no source.
 */
const velocityInside: Partial<Record<SeriesId, number>> = {
  n: 0.93,
  bnc: 0.86,
  tnc: 0.86,
  sma: 0.71,
  uhf: 0.8,
  '7-16': 0.95,
};
const USUAL_VELOCITY = 0.85;
/** What of a UHF plug's pin stands before its shell and lies in the jack, mm. IEC 60169-12, from memory. */
const UHF_PIN_MM = 11;

/** What a wave passes from where the dielectric stops to the connector's plane: a short line of the body's own impedance. */
export function connectorLine({ face: code, jacketToPlaneMm, neckMm, seatMm }: Part): LineElement {
  const face = faceOf(code);
  const pinMm = face.series === 'uhf' && face.body === 'plug' ? UHF_PIN_MM : 0;
  return {
    kind: 'line',
    z0Ohm: seriesOf(face).lineImpedanceOhm ?? face.impedanceOhm ?? 50,
    velocityFactor: velocityInside[face.series] ?? USUAL_VELOCITY,
    lengthM: Math.max(0, jacketToPlaneMm - neckMm - seatMm - pinMm) / 1000,
    k1: 0,
    k2: 0,
  };
}
