import type { Cable } from '../../catalog/index.js';
import { figure, type Figure } from '../../quantity/index.js';
import type { Stretch } from './path.js';

/** Standard acceleration of free fall, m/s². */
export const GRAVITY = 9.80665;

/** Friction of a jacket in a duct. Handbook of the trade, from memory. */
export const FRICTION = { lubricated: 0.35, dry: 0.5 };

/** Where the highest pull of a cable is not known: N for each mm² of its copper centre. From memory. */
const PULL_N_PER_MM2 = 50;

/** Weight of a cable, N/m. */
export const weightNPerM = ({ massKgPerKm }: Pick<Cable, 'massKgPerKm'>): number =>
  (massKgPerKm / 1000) * GRAVITY;

/** What a cable may be pulled with. */
export const pullLimit = ({ pullN, centreMm }: Cable): Figure =>
  pullN === undefined
    ? figure(
        PULL_N_PER_MM2 * Math.PI * (centreMm / 2) ** 2,
        'N',
        'not known: 50 N for each mm² of the copper centre, from memory',
      )
    : figure(pullN, 'N', 'cable data, from memory');

export interface Pull {
  /** At the end where it is pulled. */
  end: Figure;
  /** Where the pull comes to half of its end, m from where the cable goes in: most of it is made beyond. */
  halfAtM: number;
  /** Pressed against the wall of its tightest bend, N/m, and where; none where no bend has a radius. */
  sidewall: { nPerM: number; atM: number; radiusMm: number } | undefined;
}

/**
 * Tension of a cable which is pulled along a way: μ·w·L for each straight, uphill with its slope, times e^(μ·θ) for each bend (capstan;
 * any mechanics handbook). Nothing is taken off downhill: it never falls along the way.
 *
 * @param stretches in the order in which the cable meets them
 * @param weight of the cable, N/m
 * @param friction between jacket and duct
 * @param tailN what holds it back where it goes in: a reel that turns hard
 * @example pullAlong([{ kind: 'straight', fromM: 0, lengthM: 10, slope: 0 }], 2, 0.5).end.value // 10
 */
export function pullAlong(stretches: readonly Stretch[], weight: number, friction: number, tailN = 0): Pull {
  let tension = tailN;
  let sidewall: Pull['sidewall'];
  const reached: { atM: number; n: number }[] = [];
  for (const one of stretches) {
    if (one.kind === 'straight') {
      tension += weight * one.lengthM * Math.max(0, friction * Math.cos(one.slope) + Math.sin(one.slope));
      reached.push({ atM: one.fromM + one.lengthM, n: tension });
    } else {
      tension *= Math.exp((friction * one.degrees * Math.PI) / 180);
      reached.push({ atM: one.atM, n: tension });
      if (one.radiusMm !== undefined && one.radiusMm > 0) {
        const nPerM = tension / (one.radiusMm / 1000);
        if (!sidewall || nPerM > sidewall.nPerM) sidewall = { nPerM, atM: one.atM, radiusMm: one.radiusMm };
      }
    }
  }
  return {
    end: figure(tension, 'N', `μ·w·L, times e^(μ·θ) in bends, μ ${friction}`, 0.3 * tension),
    halfAtM: reached.find(({ n }) => n >= tension / 2)?.atM ?? 0,
    sidewall,
  };
}
