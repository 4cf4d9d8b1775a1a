import { loadImpedance, reflectionOf, swrFromReflection, type Load } from '../../line/index.js';
import type { Design } from '../design/design.js';

/** What closes the run: the antenna as it was measured, as a circuit, or as the resistance its SWR stands for. */
export function antennaLoad({ antenna }: Design, referenceOhm: number): Load {
  if (antenna.measured) return { kind: 'trace', ...antenna.measured };
  if (antenna.series) return { kind: 'series', ...antenna.series };
  return { kind: 'constant', re: referenceOhm * antenna.swr, im: 0 };
}

/** Frequencies of each band at which the antenna is looked at. */
const LOOKS = 9;

/** The design with the antenna’s worst SWR in its bands, when its impedance is known. */
export function withAntennaSwr(design: Design, referenceOhm: number): Design {
  const { antenna, service } = design;
  if (!antenna.measured && !antenna.series) return design;
  const f = Float64Array.from(
    service.bands.flatMap(({ lowHz, highHz }) =>
      Array.from({ length: LOOKS }, (_, k) => lowHz + ((highHz - lowHz) * k) / (LOOKS - 1)),
    ),
  );
  const { re, im } = reflectionOf(loadImpedance(antennaLoad(design, referenceOhm), f), referenceOhm);
  const worst = Math.max(...re.map((one, k) => swrFromReflection(Math.hypot(one, im[k]))));
  return { ...design, antenna: { ...antenna, swr: Math.min(100, worst) } };
}
