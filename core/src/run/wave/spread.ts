import { entry, lossToleranceOf, velocityToleranceOf, type Catalog } from '../../catalog/index.js';
import { normals } from '../../chance/index.js';
import { loadImpedance, swrFromReflection, sweep } from '../../line/index.js';
import { antennaLoad } from './antennaLoad.js';
import type { Assembly, Design } from '../design/design.js';
import { withTargetLengths } from '../design/targetLengths.js';
import { layOut } from './layout.js';
import { referenceOhmOf } from '../design/reference.js';

/** What may differ between a run as it is drawn and as it is built, one standard deviation. */
export interface Tolerances {
  /** Velocity factor and loss, as a share of the tolerances of each cable. */
  velocity: number;
  loss: number;
  /** Of a finished length, m. */
  lengthM: number;
}

/** A cable’s tolerance of velocity is taken as three standard deviations, that of loss as two; a tape gives a length to ± 1 cm, two of them. From memory. */
export const usualTolerances: Tolerances = {
  velocity: 1 / 3,
  loss: 1 / 2,
  lengthM: 0.005,
};

/** Middle and edges of what comes out: nine runs of ten lie between low and high. */
export interface Spread {
  low: number;
  middle: number;
  high: number;
}

/** What many runs built from one drawing come out at, at the edges of the bands. */
export interface RunSpread {
  draws: number;
  /** Worst SWR at the radio. */
  swrAtRadio: Spread;
  /** Forward power at the radio to power in the antenna at the highest frequency, dB. */
  lossDb: Spread;
}

/**
 * Builds a run many times within its tolerances (Monte Carlo): phase decides how joints add up, which no closed form says.
 *
 * @param seed the same seed gives the same runs
 */
export function spreadOf(
  design: Design,
  catalog: Catalog,
  draws: number,
  seed: number,
  tolerances: Tolerances = usualTolerances,
): RunSpread {
  const normal = normals(seed);
  const drawn = withTargetLengths(design, catalog);
  const f = Float64Array.from(design.service.bands.flatMap(({ lowHz, highHz }) => [lowHz, highHz]));
  const top = f.indexOf(Math.max(...f));
  const ohm = referenceOhmOf(design);
  const load = loadImpedance(antennaLoad(design, ohm), f);
  const swrs = new Float64Array(draws);
  const losses = new Float64Array(draws);
  for (let k = 0; k < draws; k++) {
    const built = oneRun(drawn, catalog, tolerances, normal);
    const { reflection, transmissionDb } = sweep(
      layOut(built.design, built.catalog, []).elements.map(({ element }) => element),
      load,
      f,
      ohm,
    );
    swrs[k] = Math.max(...reflection.map(swrFromReflection));
    losses[k] = -transmissionDb[top];
  }
  return { draws, swrAtRadio: ninetyPercent(swrs), lossDb: ninetyPercent(losses) };
}

function oneRun(
  design: Design,
  catalog: Catalog,
  { velocity, loss, lengthM }: Tolerances,
  normal: () => number,
): { design: Design; catalog: Catalog } {
  const cables = new Map(catalog.cables);
  const pieces = design.pieces.map((piece) => {
    if (piece.kind !== 'assembly') return piece;
    const sheet = entry(catalog.cables, piece.cable);
    const id = `${sheet.id} of ${piece.id}`;
    const lossier = Math.max(0, 1 + lossToleranceOf(sheet) * loss * normal());
    cables.set(id, {
      ...sheet,
      id,
      velocityFactor: Math.min(
        1,
        sheet.velocityFactor * (1 + velocityToleranceOf(sheet) * velocity * normal()),
      ),
      k1: sheet.k1 * lossier,
      k2: sheet.k2 * lossier,
    });
    const built: Assembly = {
      ...piece,
      cable: id,
      lengthM: Math.max(0.02, piece.lengthM + lengthM * normal()),
    };
    return built;
  });
  return { design: { ...design, pieces }, catalog: { ...catalog, cables } };
}

function ninetyPercent(values: Float64Array): Spread {
  const sorted = values.toSorted();
  const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))];
  return { low: at(0.05), middle: at(0.5), high: at(0.95) };
}
