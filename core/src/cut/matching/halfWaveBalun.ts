import type { Cable } from '../../catalog/index.js';
import { cableLine, cascade, type Complexes } from '../../line/index.js';
import type { MatchDevice } from './device.js';
import { piece } from './quarterWave.js';

/**
 * A half-wave loop between the two sides of a balanced load: 4 to 1, VF·λ/2 long.
 *
 * One side hangs on the line itself, the other on the loop’s end; with the loop’s chain matrix A B C D and the load Z between the
 * sides the voltages are V2/V1 = (1 + B/Z)/(A + B/Z), whence the impedance at the line. Source: circuit of the loop; at half a
 * wave it is Z/4 (The ARRL Antenna Book).
 */
export function halfWaveBalun(frequencyHz: number, cable: Cable): MatchDevice {
  const loop = piece('half-wave loop', cable, 180, frequencyHz);
  const line = cableLine(cable, loop.lengthM);
  return {
    name: 'Half-wave balun, 4 to 1',
    frequencyHz,
    pieces: [loop],
    elements: [],
    closes: (load, over) => {
      const out: Complexes = { re: new Float64Array(over.length), im: new Float64Array(over.length) };
      for (let k = 0; k < over.length; k++) {
        const m = cascade([line], over[k]);
        const [a, b, c, d] = [0, 2, 4, 6].map((n): Pair => [m[n], m[n + 1]]);
        const z: Pair = [load.re[k], load.im[k]];
        const bz = quotient(b, z);
        const far = quotient(plus([1, 0], bz), plus(a, bz));
        const intoLoad = quotient(minus([1, 0], far), z);
        // The loop’s end feeds the load’s other side: what leaves there is minus what enters here.
        const intoLoop = minus(product(c, far), product(d, intoLoad));
        [out.re[k], out.im[k]] = quotient([1, 0], plus(intoLoad, intoLoop));
      }
      return out;
    },
  };
}

type Pair = [re: number, im: number];
const plus = (x: Pair, y: Pair): Pair => [x[0] + y[0], x[1] + y[1]];
const minus = (x: Pair, y: Pair): Pair => [x[0] - y[0], x[1] - y[1]];
const product = (x: Pair, y: Pair): Pair => [x[0] * y[0] - x[1] * y[1], x[0] * y[1] + x[1] * y[0]];
const quotient = (x: Pair, y: Pair): Pair => {
  const size = y[0] * y[0] + y[1] * y[1];
  return [(x[0] * y[0] + x[1] * y[1]) / size, (x[1] * y[0] - x[0] * y[1]) / size];
};
