import type { Catalog } from '../catalog/index.js';
import { loaded, type Complexes } from '../line/index.js';
import { causes, type Cause } from '../prove/index.js';
import type { Design } from '../run/index.js';
import type { ReadBench } from './bench.js';
import { delayOf, deviceOn, deviceScattering } from './device.js';
import { hiddenCauses } from './hiddenFault.js';

/** A run as somebody finds it: what the two instruments show with the hands where they are. */
export interface RehearsalSight {
  frequencyHz: Float64Array;
  s11: Complexes;
  /** From pin to shell of the near end, ohm. */
  ohm: number;
}

/** What was hidden, told when the answer is given. */
export interface RehearsalTruth {
  cause: Cause;
  /** Where on the ruler, m; nothing where nothing is wrong. */
  atM: number | undefined;
}

/** Causes which a rehearsal can hide: what one may answer. */
export const rehearsalCauses: Cause[] = causes.filter(({ id }) => hiddenCauses.some((one) => one === id));

/** A rehearsal needs a cable to spoil. */
export const canRehearse = (design: Design): boolean => design.pieces.some(({ kind }) => kind === 'assembly');

/** Wide enough that places 0.5 m apart are told from each other. */
const LEAST_STOP_HZ = 500e6;
const [LEAST_POINTS, MAX_POINTS] = [801, 4001];
/** The echo of the far end stays well before where echoes fold back. */
const MARGIN = 1.5;

/** Frequencies of the sweep, Hz: through the bands in use, and so close that no echo of this run folds back. */
function sweepHz({ service }: Design, delayS: number): Float64Array {
  const stopHz = Math.max(LEAST_STOP_HZ, ...service.bands.map(({ highHz }) => highHz * 1.2));
  const points = Math.min(MAX_POINTS, Math.max(LEAST_POINTS, Math.ceil(2 * delayS * stopHz * MARGIN) + 1));
  return Float64Array.from({ length: points }, (_, k) => (stopHz * (k + 1)) / points);
}

/**
 * What analyser and ohm-meter show of the whole run with its hidden fault.
 *
 * @param bench its seed decides what is wrong; `far`, `rained` and `wiggled` are what the hands do
 */
export function rehearsalSight(bench: Omit<ReadBench, 'pieceId'>): RehearsalSight {
  const device = deviceOn({ ...bench, pieceId: '' });
  const frequencyHz = sweepHz(bench.design, delayOf(device));
  return {
    frequencyHz,
    s11: loaded(deviceScattering(device, frequencyHz), device.closed(frequencyHz)),
    ohm: device.dcOhm,
  };
}

/** What was hidden under a seed. */
export function rehearsalTruth(design: Design, catalog: Catalog, seed: number): RehearsalTruth {
  const { fault } = deviceOn({
    design,
    catalog,
    seed,
    pieceId: '',
    far: 'load',
    rained: false,
    wiggled: false,
  });
  const cause = causes.find(({ id }) => id === fault.cause) ?? causes[0];
  return { cause, atM: fault.cause === 'nothing' ? undefined : fault.atM };
}
