import { entry, type Cable } from '../../catalog/index.js';
import type { Leg } from '../design/design.js';
import { betterCables } from '../edit/betterCables.js';
import type { Finding, SnagRule } from './snag.js';

/** Indoors no duct fills. */
const isWetDuct = ({ kind, zone }: Leg): boolean => kind === 'duct' && zone !== 'dry';

/** What a leg asks of a jacket; nothing when it is content. */
export function jacketComplaint(
  cable: Cable,
  leg: Leg,
): { level: 'stop' | 'caution'; what: string; why: string } | undefined {
  if (leg.kind === 'direct burial' && cable.directBurial !== 'yes') {
    const only =
      cable.directBurial === 'flooded type only'
        ? 'only its flooded type may lie in earth'
        : 'water creeps through it in earth';
    return {
      level: cable.directBurial === 'no' ? 'stop' : 'caution',
      what: `${cable.name} does not belong in ${leg.name}`,
      why: `${cable.jacket} jacket over ${leg.lengthM} m in the ground: ${only}.`,
    };
  }
  if (isWetDuct(leg) && cable.wetDuct !== undefined && cable.wetDuct !== 'yes') {
    return {
      level: 'caution',
      what:
        cable.wetDuct === 'no'
          ? `${cable.name} does not belong in ${leg.name}`
          : `${cable.name} in ${leg.name}: only if it drains and is inspected`,
      why: `${cable.jacket} jacket over ${leg.lengthM} m of duct, which fills with water in the end: ${cable.wetDuct === 'no' ? 'it takes up water' : 'allowed only with care, drained and inspected'}.`,
    };
  }
  if (leg.zone !== 'dry' && leg.zone !== 'sheltered' && leg.zone !== 'buried' && !cable.uvResistant) {
    return {
      level: 'caution',
      what: `${cable.name} does not belong in the sun of ${leg.name}`,
      why: `${cable.jacket} jacket over ${leg.lengthM} m in the open: sun makes it brittle.`,
    };
  }
  return undefined;
}

/** Jackets against the places of the legs: sun and burial. Source: jacket data of the cable. */
export const jacket: SnagRule = ({ design, catalog, layout, route, topHz }) =>
  layout.pieces.flatMap(({ piece, fromM, toM }): Finding[] => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    const crossed = route.spans
      .filter((span) => span.fromM < toM && span.toM > fromM)
      .map(({ leg, fromM: at }) => ({ leg: design.legs[leg], at }));
    const worst = crossed
      .map(({ leg, at }) => ({ leg, at, found: jacketComplaint(cable, leg) }))
      .find(({ found }) => found);
    if (!worst?.found) return [];
    // A duct fills with water: only a jacket that bears it goes there.
    const duct =
      worst.leg.kind === 'direct burial' && cable.wetDuct !== 'no'
        ? [
            {
              title: `Lay ${worst.leg.name} in a duct`,
              detail: 'drained; every duct fills with water in the end',
              changes: [
                {
                  op: 'set legs' as const,
                  legs: design.legs.map((leg) =>
                    leg === worst.leg ? { ...leg, kind: 'duct' as const } : leg,
                  ),
                },
              ],
            },
          ]
        : [];
    return [
      {
        rule: 'jacket',
        of: piece.id,
        level: worst.found.level,
        stage: 'route',
        at: piece.id,
        distanceM: Math.max(fromM, worst.at),
        what: worst.found.what,
        why: worst.found.why,
        remedies: [
          ...duct,
          ...betterCables(
            piece,
            catalog,
            topHz,
            (other) => crossed.every(({ leg }) => !jacketComplaint(other, leg)),
            2,
          ),
        ],
        source: cable.source,
      },
    ];
  });
