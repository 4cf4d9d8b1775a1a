import { attenuationDbPer100M } from '../line/index.js';
import { lossToleranceOf, velocityToleranceOf, type Cable } from '../catalog/index.js';

/** What somebody found out of a cable nobody knows, with a caliper or from its two sweeps; what was not found out is left out. */
export interface CableEvidence {
  /** What the eye tells: of another kind it is another cable. */
  centreKind?: Cable['centreKind'];
  shieldKind?: Cable['shieldKind'];
  centreMm?: number;
  dielectricMm?: number;
  jacketMm?: number;
  impedanceOhm?: number;
  velocityFactor?: number;
  loss?: { frequencyHz: number; dbPer100M: number };
}

/** A cable it may be. */
export interface CableCandidate {
  cable: Cable;
  /** Largest deviation from the evidence, in what makers and a caliper may differ by: 1 is just within. */
  worst: number;
  /** What speaks against it, in words. */
  against: string[];
}

/** Nominal diameters are met within this share and what a caliper reads on soft stuff, mm. Common practice, no source. */
const DIAMETER_SHARE = 0.03;
const CALIPER_MM = { centre: 0.04, dielectric: 0.12, jacket: 0.2 };
/** Nominal impedance within 5 %, as the military sheets of most types say (MIL-DTL-17, from memory). */
const IMPEDANCE_SHARE = 0.05;
/** A length measured with a tape and two sweeps add this to the velocity factor’s own tolerance. Common practice, no source. */
const MEASURED_SHARE = 0.01;
/** Loss of a piece with its two ends is not read better than this, share. Common practice, no source. */
const LOSS_SHARE = 0.15;
/** Beyond this many tolerances it is another cable. */
const MAX_WORST = 3;

interface Test {
  what: string;
  found: number;
  nominal: number;
  tolerance: number;
  unit: string;
}

/**
 * Cables the evidence fits, the likeliest first; those it speaks against strongly are left out.
 *
 * @param evidence at least one thing found out, else every cable fits
 */
export function cableCandidates(evidence: CableEvidence, cables: Iterable<Cable>): CableCandidate[] {
  const { centreKind, shieldKind } = evidence;
  return [...cables]
    .filter((cable) => cable.centreKind === (centreKind ?? cable.centreKind))
    .filter((cable) => cable.shieldKind === (shieldKind ?? cable.shieldKind))
    .map((cable) => {
      const tests = testsOf(evidence, cable);
      const size = ({ found, nominal, tolerance }: Test): number => Math.abs(found - nominal) / tolerance;
      const worst = Math.max(0, ...tests.map(size));
      const mean = tests.reduce((sum, test) => sum + size(test) ** 2, 0);
      const against = tests
        .filter((test) => size(test) > 1)
        .map(
          ({ what, found, nominal, unit }) =>
            `${what} ${plain(nominal)}${unit}, found ${plain(found)}${unit}`,
        );
      return { cable, worst, mean, against };
    })
    .filter(({ worst }) => worst <= MAX_WORST)
    .sort((x, y) => x.mean - y.mean)
    .map(({ cable, worst, against }) => ({ cable, worst, against }));
}

const plain = (value: number): string => String(Number(value.toPrecision(3)));

function testsOf(evidence: CableEvidence, cable: Cable): Test[] {
  const diameter = (what: keyof typeof CALIPER_MM, found: number | undefined, nominal: number): Test[] =>
    found === undefined
      ? []
      : [{ what, found, nominal, tolerance: nominal * DIAMETER_SHARE + CALIPER_MM[what], unit: ' mm' }];
  const { impedanceOhm, velocityFactor, loss } = evidence;
  return [
    ...diameter('centre', evidence.centreMm, cable.centreMm),
    ...diameter('dielectric', evidence.dielectricMm, cable.dielectricMm),
    ...diameter('jacket', evidence.jacketMm, cable.jacketMm),
    ...(impedanceOhm === undefined
      ? []
      : [
          {
            what: 'impedance',
            found: impedanceOhm,
            nominal: cable.impedanceOhm,
            tolerance: cable.impedanceOhm * IMPEDANCE_SHARE,
            unit: ' ohm',
          },
        ]),
    ...(velocityFactor === undefined
      ? []
      : [
          {
            what: 'velocity factor',
            found: velocityFactor,
            nominal: cable.velocityFactor,
            tolerance: cable.velocityFactor * (velocityToleranceOf(cable) + MEASURED_SHARE),
            unit: '',
          },
        ]),
    ...(loss === undefined ? [] : [lossTest(loss, cable)]),
  ];
}

function lossTest({ frequencyHz, dbPer100M }: NonNullable<CableEvidence['loss']>, cable: Cable): Test {
  const nominal = attenuationDbPer100M(cable, frequencyHz);
  return {
    what: 'loss per 100 m',
    found: dbPer100M,
    nominal,
    tolerance: nominal * (lossToleranceOf(cable) + LOSS_SHARE),
    unit: ' dB',
  };
}
