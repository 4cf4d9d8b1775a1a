import { figure, type Figure } from '../quantity/index.js';

export const zones = ['dry', 'sheltered', 'outdoor', 'buried', 'salt', 'ice'] as const;
export type Zone = (typeof zones)[number];

export const legKinds = [
  'indoor tray',
  'riser',
  'wall feed-through',
  'surface clipped',
  'aerial',
  'direct burial',
  'duct',
  'tower leg',
  'rotator loop',
  'boat deck or mast',
] as const;
export type LegKind = (typeof legKinds)[number];

/** The kind of leg which a zone stands for, where the kind at hand cannot be in it: what lies in the ground is buried or in a duct. */
export const legKindIn = (zone: Zone, kind: LegKind): LegKind => {
  const underGround = kind === 'direct burial' || kind === 'duct';
  if (zone === 'buried') return underGround ? kind : 'direct burial';
  return kind === 'direct burial' ? 'surface clipped' : kind;
};

/** What a route length needs of a leg. Lengths in m. */
export interface LegLike {
  lengthM: number;
  slackM: number;
  zone: Zone;
}

/** Where one leg lies on the ruler. */
export interface ZoneSpan {
  fromM: number;
  toM: number;
  zone: Zone;
  /** Index of the leg. */
  leg: number;
}

export interface RouteLength {
  legs: Figure;
  slack: Figure;
  remakes: Figure;
  total: Figure;
  spans: ZoneSpan[];
}

/**
 * The cable a route asks for: its legs, their slack (drip, service and rotator loops) and the re-makes of both ends.
 *
 * @param remakesM cable kept for making ends again, m
 * @returns figures, and where each leg lies on the ruler with its slack
 */
export function routeLength(legs: readonly LegLike[], remakesM: number): RouteLength {
  const legsM = legs.reduce((sum, leg) => sum + leg.lengthM, 0);
  const slackM = legs.reduce((sum, leg) => sum + leg.slackM, 0);
  let at = 0;
  const spans = legs.map((leg, index): ZoneSpan => {
    const fromM = at;
    at += leg.lengthM + leg.slackM;
    return { fromM, toM: at, zone: leg.zone, leg: index };
  });
  return {
    legs: figure(legsM, 'm', 'sum of the legs', 0.01 * legsM),
    slack: figure(slackM, 'm', 'loops of the legs'),
    remakes: figure(remakesM, 'm', 'spare for re-terminating, both ends'),
    total: figure(legsM + slackM + remakesM, 'm', 'legs, slack and spare', 0.01 * legsM),
    spans,
  };
}

/** The zone at a distance from the radio; beyond the last leg its zone goes on; without legs it is dry. */
export function zoneAt(spans: readonly ZoneSpan[], distanceM: number): Zone {
  const tolerance = 1e-9;
  return spans.find(({ toM }) => distanceM < toM - tolerance)?.zone ?? spans.at(-1)?.zone ?? 'dry';
}

/** Where a run that starts indoors goes out, m; nothing when it never does or starts outside. */
export function entryM(spans: readonly ZoneSpan[]): number | undefined {
  const first = spans.findIndex(({ zone }) => isOutdoors(zone));
  return first > 0 ? spans[first].fromM : undefined;
}

/** Does weather reach it? */
export const isExposed = (zone: Zone): zone is Exclude<Zone, 'dry'> => zone !== 'dry';

/** Is it in the open, where an arrester, UV and water count? */
export const isOutdoors = (zone: Zone): boolean => zone !== 'dry' && zone !== 'sheltered';
