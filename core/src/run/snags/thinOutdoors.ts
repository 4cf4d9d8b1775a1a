import { entry, type Cable } from '../../catalog/index.js';
import type { Leg } from '../design/design.js';
import { betterCables } from '../edit/betterCables.js';
import type { MildFinding, MildRule } from './snag.js';

/** Thinner cable is for the inside of boxes and for leads: wind, ties and birds break it. Common practice, no source. */
export const LEAST_OUTDOORS_MM = 4.5;
/** So much of it hangs from an antenna as its own tail, m. Common practice, no source. */
const TAIL_M = 1;

/** Is this cable too thin for that leg? Why, in words. */
export const thinComplaint = ({ jacketMm }: Pick<Cable, 'jacketMm'>, leg: Leg): string | undefined =>
  jacketMm < LEAST_OUTDOORS_MM && leg.zone !== 'dry' && leg.zone !== 'sheltered' && leg.lengthM > TAIL_M
    ? `${jacketMm} mm over ${leg.lengthM} m in the open: wind, ties and birds break what is thinner than ${LEAST_OUTDOORS_MM} mm`
    : undefined;

/** Cable of the inside of boxes in the weather. */
export const thinOutdoors: MildRule = ({ design, catalog, layout, route, topHz }) =>
  layout.pieces.flatMap(({ piece, fromM, toM }): MildFinding[] => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    const found = route.spans
      .filter((span) => span.fromM < toM && span.toM > fromM)
      .flatMap(({ leg, fromM: at }) => {
        const why = thinComplaint(cable, design.legs[leg]);
        return why === undefined ? [] : [{ why, at, name: design.legs[leg].name }];
      })
      .at(0);
    if (!found) return [];
    return [
      {
        rule: 'thin-outdoors',
        of: piece.id,
        level: 'caution',
        stage: 'plan',
        at: piece.id,
        distanceM: Math.max(fromM, found.at),
        what: `${cable.name} is too thin for ${found.name}`,
        why: `${found.why}.`,
        remedies: betterCables(piece, catalog, topHz, (other) => other.jacketMm >= LEAST_OUTDOORS_MM),
        source: 'common practice, no source',
      },
    ];
  });
