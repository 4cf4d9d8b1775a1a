import { formatPower } from '../../quantity/index.js';
import type { Remedy } from '../design/remedy.js';

/** A transmitter cannot be set finer than this, nor lower. Common practice, no source. */
const LEAST_W = 0.1;

/** Turning the transmitter down to what holds, two figures; nothing where that is no power at all. */
export function lessPower(mostW: number): Remedy[] {
  if (!(mostW >= LEAST_W)) return [];
  const step = 10 ** (Math.floor(Math.log10(mostW)) - 1);
  const powerW = Number((Math.floor(mostW / step + 1e-9) * step).toPrecision(2));
  return [
    {
      title: `Turn the transmitter down to ${formatPower(powerW)}`,
      detail: 'forward power',
      changes: [{ op: 'set service', service: { powerW } }],
    },
  ];
}
