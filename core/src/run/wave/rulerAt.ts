import type { Catalog } from '../../catalog/index.js';
import { along, loadImpedance, type Along } from '../../line/index.js';
import { antennaLoad } from './antennaLoad.js';
import type { Design } from '../design/design.js';
import { layOut } from './layout.js';
import { referenceOhmOf } from '../design/reference.js';

/** Voltage, current, power and loss along the ruler at one frequency; arrays of equal length. */
export interface RulerSamples {
  frequencyHz: number;
  distanceM: Float64Array;
  /** Net power, W, with the transmitter's *forward* rating at the radio. */
  netW: Float64Array;
  /** What has turned into heat up to here, dB. */
  heatLossDb: Float64Array;
  /** Peak volts and amperes at the place itself. */
  peakV: Float64Array;
  peakA: Float64Array;
  /** Between these the current ripples along the standing wave, A. */
  highA: Float64Array;
  lowA: Float64Array;
  envelopeV: Float64Array;
}

/** Samples of voltage and power within each cable. */
export const SAMPLES = 40;

export const rulerSamples = ({
  frequencyHz,
  distanceM,
  netW,
  peakV,
  peakA,
  highA,
  lowA,
  envelopeV,
}: Along): RulerSamples => ({
  frequencyHz,
  distanceM,
  netW,
  heatLossDb: netW.map((watts) => 10 * Math.log10(netW[0] / watts)),
  peakV,
  peakA,
  highA,
  lowA,
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
