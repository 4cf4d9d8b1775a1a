import type { Load } from '../../line/index.js';
import type { Design } from '../design/design.js';

/** What closes the run: the antenna as it was measured, as a circuit, or as the resistance its SWR stands for. */
export function antennaLoad({ antenna }: Design, referenceOhm: number): Load {
  if (antenna.measured) return { kind: 'trace', ...antenna.measured };
  if (antenna.series) return { kind: 'series', ...antenna.series };
  return { kind: 'constant', re: referenceOhm * antenna.swr, im: 0 };
}
