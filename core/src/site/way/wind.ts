import type { Cable } from '../../catalog/index.js';
import { figure, type Figure } from '../../quantity/index.js';

/** Density of air, kg/m³ (Eurocode 1, EN 1991-1-4: 1.25). */
const AIR_KG_PER_M3 = 1.25;
/** Drag of a round rod at the speeds that matter (texts on fluid mechanics; EN 1991-1-4, figure 7.28: 1.2 below its critical speed). */
const DRAG_OF_ROUND = 1.2;

/** Breadth which a cable shows to the wind, m, ice on it included. */
const breadthM = ({ jacketMm }: Pick<Cable, 'jacketMm'>, iceMm: number): number =>
  (jacketMm + 2 * iceMm) / 1000;

/** Push of the wind on a metre of cable across it, N/m: ½·ρ·v²·c·d. */
export const windNPerM = (cable: Pick<Cable, 'jacketMm'>, windMps: number, iceMm: number): number =>
  0.5 * AIR_KG_PER_M3 * windMps ** 2 * DRAG_OF_ROUND * breadthM(cable, iceMm);

/** What cables side by side on a mast show to the wind. */
export interface WindLoad {
  /** Area against the wind, m². */
  area: Figure;
  /** Push at the wind that is reckoned with; nothing where none is. */
  push: Figure | undefined;
}

/**
 * Wind on cables which run up side by side, none in the lee of another.
 *
 * @param lengthM of the way
 */
export function windLoad(
  cables: readonly Pick<Cable, 'jacketMm'>[],
  lengthM: number,
  { windMps, iceMm = 0 }: { windMps?: number; iceMm?: number },
): WindLoad {
  const areaM2 = cables.reduce((sum, cable) => sum + breadthM(cable, iceMm) * lengthM, 0);
  const newtons = cables.reduce((sum, cable) => sum + windNPerM(cable, windMps ?? 0, iceMm) * lengthM, 0);
  return {
    area: figure(
      areaM2,
      'm2',
      'jackets side by side, none in the lee of another, with ice where it is reckoned with',
    ),
    push:
      windMps === undefined
        ? undefined
        : figure(newtons, 'N', '½·ρ·v²·1.2·d per metre, EN 1991-1-4', 0.2 * newtons),
  };
}
