import type { StoredTrace } from '@kobran/contract';
import { catalog, predictSweep, type Design, type LineFault } from '@kobran/core';
import prand from 'pure-rand';
import { on } from './demoJob.js';

const POINTS = 401;
const frequencyHz = Float64Array.from({ length: POINTS }, (_, k) => 20e6 + (k * 480e6) / (POINTS - 1));
/** Noise of a field analyser, as a share of full reflection. Common practice, no source. */
const NOISE = 4e-4;

/** A sweep as an analyser would have taken it: the run as it truly is, with a little noise. */
function swept(
  design: Design,
  setting: Pick<StoredTrace, 'id' | 'name' | 'far' | 'rained' | 'birth' | 'by' | 'at'>,
  faults: readonly LineFault[],
  seed: number,
): StoredTrace {
  const rng = prand.xoroshiro128plus(seed);
  const noise = (): number =>
    NOISE * (2 * (prand.unsafeUniformIntDistribution(0, 1_000_000, rng) / 1_000_000) - 1);
  const { s11 } = predictSweep(design, catalog, '', setting.far, frequencyHz, faults);
  const read = (values: Float64Array): number[] =>
    Array.from(values, (value) => Number((value + noise()).toFixed(6)));
  return {
    ...setting,
    pieceId: '',
    referenceOhm: 50,
    frequencyHz: [...frequencyHz],
    s11: { re: read(s11.re), im: read(s11.im) },
  };
}

/** The VHF run when it was new, and after a wet winter with a kink at the mast foot. */
export const vhfTraces = (design: Design): StoredTrace[] => {
  const open = { far: 'open' as const, by: 'Petrok' };
  return [
    swept(
      design,
      {
        ...open,
        id: '0d7c4a10-0000-4000-8000-000000000201',
        name: 'first-proof.s1p',
        rained: false,
        birth: true,
        at: on(4, 15),
      },
      [],
      1,
    ),
    swept(
      design,
      {
        ...open,
        id: '0d7c4a10-0000-4000-8000-000000000202',
        name: 'after-the-storm.s1p',
        rained: true,
        birth: false,
        at: on(20, 10),
      },
      [
        { kind: 'wet', fromM: 3, toM: 11.5, addedK2: 0.03 },
        { kind: 'crush', atM: 12.2, lengthM: 0.05, ohm: 30 },
      ],
      2,
    ),
  ];
};
