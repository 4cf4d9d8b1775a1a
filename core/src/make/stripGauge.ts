import { braidMm, nominalSource, type Cable, type Part } from '../catalog/index.js';
import { fitCable, type CableFit } from '../fit/cableFit.js';
import { formatLength, type UnitSystem } from '../quantity/index.js';
import { partAsGauge } from './partAsGauge.js';

export type Layer = 'centre' | 'dielectric' | 'braid' | 'tube' | 'jacket';

/** One bare stretch of the prepared end, from the cut backwards. */
export interface GaugeStretch {
  layer: Layer;
  lengthMm: number;
  diameterMm: number;
}

/** The strip lengths of one end, computed from part and cable; all in mm, each ± `toleranceMm`. */
export interface StripGauge {
  /** From the cut end: centre, dielectric, braid; a stretch of no length is left out. */
  stretches: GaugeStretch[];
  /** From the cut end to the jacket's edge: their sum. */
  jacketCutMm: number;
  jacketMm: number;
  toleranceMm: number;
  /** Figures of the kind of part, not of a sheet or of the part in the hand: they are said as “about”. */
  nominal: boolean;
  /** The same by holding the part against the cable; usable by touch. */
  partAsGauge: string;
  fit: CableFit;
  source: string;
}

/** A strip length in half millimetres or 1/32 in: finer than its tolerance it would only look exact. */
export function stripText(mm: number, system: UnitSystem): string {
  const halves = Math.round(mm * 2);
  return formatLength(halves / 2000, { system, small: true, fraction: 32, digits: halves % 2 });
}

/** Said before a length which nobody has measured. */
export const about = ({ nominal }: Pick<StripGauge, 'nominal'>): string => (nominal ? 'about ' : '');

/** Nominal tolerance of each strip length, mm. Common practice, no source. */
export const STRIP_TOLERANCE_MM = 0.5;

/**
 * Strip lengths for this part on this cable.
 *
 * Rules (common practice, no source; the part's own sheet wins): braid = neck; dielectric beyond the braid = seat;
 * centre = depth of the pin's bore, for a UHF tip the way through it plus what stands proud; jacket cut = their sum.
 * A gland part's braid folds over the hat, so its braid stretch is the hat's length; its dielectric ends flush with the hat's rim, and the
 * conductor passes the rear insulator before the pin. A corrugated tube has no braid: it is bared of its jacket.
 */
export function stripGauge(part: Part, cable: Cable): StripGauge {
  const fit = fitCable(part, cable);
  // Hat’s rim, rear insulator, pin’s bore: one chain.
  const centreMm = (part.rearMm ?? 0) + fit.pin.depthMm + part.proudMm;
  const all: GaugeStretch[] = [
    { layer: 'centre', lengthMm: centreMm, diameterMm: cable.centreMm },
    { layer: 'dielectric', lengthMm: part.seatMm, diameterMm: cable.dielectricMm },
    {
      layer: cable.shieldKind === 'tube' ? 'tube' : 'braid',
      lengthMm: part.neckMm,
      diameterMm: braidMm(cable),
    },
  ];
  const stretches = all.filter(({ lengthMm }) => lengthMm > 0);
  return {
    stretches,
    jacketCutMm: centreMm + part.seatMm + part.neckMm,
    jacketMm: cable.jacketMm,
    toleranceMm: STRIP_TOLERANCE_MM,
    nominal: part.source === nominalSource,
    partAsGauge: partAsGauge(part),
    fit,
    source: part.source,
  };
}
