import type { Catalog } from '../../catalog/index.js';
import { along, loadImpedance, type Along } from '../../line/index.js';
import { antennaLoad } from './antennaLoad.js';
import type { Design } from '../design/design.js';
import { layOut } from './layout.js';
import { referenceOhmOf } from '../design/reference.js';
import type { RulerSamples } from '../sheet/sheet.js';

/** Samples of voltage and power within each cable. */
export const SAMPLES = 40;

export const rulerSamples = ({
  frequencyHz,
  distanceM,
  netW,
  peakV,
  peakA,
  envelopeV,
}: Along): RulerSamples => ({
  frequencyHz,
  distanceM,
  netW,
  heatLossDb: netW.map((watts) => 10 * Math.log10(netW[0] / watts)),
  peakV,
  peakA,
  envelopeV,
});

/** Voltage, current, power and loss along the ruler at any frequency, with the transmitter’s *forward* power at the radio. */
export function rulerAt(design: Design, catalog: Catalog, frequencyHz: number): RulerSamples {
  const ohm = referenceOhmOf(design);
  const { re, im } = loadImpedance(antennaLoad(design, ohm), Float64Array.of(frequencyHz));
  const forwardW = design.service.powerW > 0 ? design.service.powerW : 1;
  const { elements } = layOut(design, catalog, []);
  return rulerSamples(along(elements, { re: re[0], im: im[0] }, frequencyHz, forwardW, SAMPLES, ohm));
}
