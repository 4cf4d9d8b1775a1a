import { loadImpedance, reflectionOf, swrFromReflection } from '../../line/index.js';
import type { Design } from '../design/design.js';
import { antennaLoad } from './antennaLoad.js';

/** A frequency at which voltage, SWR and heat are looked at, and the antenna’s SWR there. */
export interface Look {
  hz: number;
  swr: number;
}

/** Between the edges of a band an antenna whose curve is known is looked at so often. */
const LOOKS = 17;
/** An open or shorted antenna reflects everything; figures stay finite. */
const MAX_SWR = 1e4;

/**
 * The edges of every band, and in each the frequency where the antenna’s own curve is worst; rising.
 *
 * @param referenceOhm impedance of the run
 */
export function looksOf(design: Design, referenceOhm: number): Look[] {
  const { bands } = design.service;
  const known = design.antenna.measured !== undefined || design.antenna.series !== undefined;
  const looks = bands.flatMap(({ lowHz, highHz }) => {
    if (!known) return [lowHz, highHz].map((hz): Look => ({ hz, swr: design.antenna.swr }));
    const within = swrsAt(
      design,
      Array.from({ length: LOOKS }, (_, k) => lowHz + ((highHz - lowHz) * k) / (LOOKS - 1)),
      referenceOhm,
    );
    const worst = within.reduce((most, one) => (one.swr > most.swr ? one : most));
    return [within[0], worst, within[LOOKS - 1]];
  });
  const byHz = new Map(looks.map((look) => [look.hz, look]));
  return [...byHz.values()].sort((x, y) => x.hz - y.hz);
}

function swrsAt(design: Design, hertz: readonly number[], referenceOhm: number): Look[] {
  const f = Float64Array.from(hertz);
  const { re, im } = reflectionOf(loadImpedance(antennaLoad(design, referenceOhm), f), referenceOhm);
  return hertz.map((hz, k) => ({ hz, swr: Math.min(MAX_SWR, swrFromReflection(Math.hypot(re[k], im[k]))) }));
}
