import type { Part } from '../catalog/index.js';
import type { StripGauge } from './stripGauge.js';

export const damageKinds = ['connector', 'crushed', 'cut', 'wet', 'burnt'] as const;
export type DamageKind = (typeof damageKinds)[number];

/** What happened to an end, and how far beyond what is seen the cable is spoilt. */
export interface Damage {
  label: string;
  /** What to do about it, in a sentence. */
  look: string;
  /** Sound cable cut off beyond the damage, m. */
  beyondM: number;
}

/** Margins beyond the visible damage. Common practice, no source; the colour of copper decides. */
export const damages: Record<DamageKind, Damage> = {
  connector: {
    label: 'The connector is broken or worn',
    look: 'The cable itself is sound: only the stripped end goes.',
    beyondM: 0,
  },
  crushed: {
    label: 'Crushed or kinked',
    look: 'The dielectric is displaced a little further than the jacket shows.',
    beyondM: 0.05,
  },
  cut: {
    label: 'Jacket cut or torn',
    look: 'Water goes in where the jacket is open; look at the braid beyond it.',
    beyondM: 0.1,
  },
  wet: {
    label: 'Water: braid dark or green',
    look: 'Cut 100 mm at a time until copper is bright and braid dry. More than a metre: the water came from elsewhere.',
    beyondM: 0.15,
  },
  burnt: {
    label: 'Arced or burnt',
    look: 'Carbon conducts: none may be left on the dielectric. Find out why it arced before power goes on again.',
    beyondM: 0.1,
  },
};

/** How far to cut back, and what it costs in finished length; m. */
export interface CutBack {
  /** From the old reference plane to the new square cut. */
  cutAtM: number;
  /** Finished length lost: the new plane stands beyond the new cut as the part demands. */
  lostM: number;
}

/**
 * How much of a damaged end to cut off.
 *
 * @param damagedM how far the damage reaches, from the old reference plane, m
 * The old end's strip is always lost; beyond the damage goes the margin of its kind.
 */
export function cutBack(kind: DamageKind, damagedM: number, part: Part, gauge: StripGauge): CutBack {
  const oldEndM = part.jacketToPlaneMm / 1000;
  const cutAtM = Math.max(oldEndM, damagedM) + damages[kind].beyondM;
  const planeBeyondCutM = (part.jacketToPlaneMm - gauge.jacketCutMm) / 1000;
  return { cutAtM, lostM: Math.max(0, cutAtM - planeBeyondCutM) };
}
