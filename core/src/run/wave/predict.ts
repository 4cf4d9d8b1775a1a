import { entry, faceOf, velocityToleranceOf, type Catalog } from '../../catalog/index.js';
import {
  SPEED_OF_LIGHT,
  catalogAt,
  jointElements,
  loaded,
  matchedLossDb,
  loadImpedance,
  reflectionOf,
  scattering,
  type Complex,
  type Complexes,
  type Element,
  type PlacedElement,
} from '../../line/index.js';
import { delayRuler, type DelayRuler, type DelayStretch } from '../../prove/index.js';
import type { Assembly, Design } from '../design/design.js';
import { withTargetLengths } from '../design/targetLengths.js';
import { assemblyOf } from '../design/lookups.js';
import { antennaLoad } from './antennaLoad.js';
import { cableElements, layOut } from './layout.js';
import { withFaults, type LineFault } from './faults.js';
import { referenceOhmOf } from '../design/reference.js';

/** What is on the far end while a sweep is taken. */
export const farEnds = ['load', 'open', 'short', 'antenna'] as const;
export type FarEndKind = (typeof farEnds)[number];

export const farEndNames: Record<FarEndKind, string> = {
  load: 'a matched load',
  open: 'nothing, open',
  short: 'a short',
  antenna: 'the antenna',
};

/** What a sweep of a run, or of one of its assemblies, should show. */
export interface Swept {
  s11: Complexes;
  /** Matched loss through, dB, one for each frequency. */
  lossDb: Float64Array;
  ruler: DelayRuler;
  totalM: number;
  /** Places with a name, for echoes to be called after. */
  places: Place[];
  /** Its cables and how well their velocity factor is known. */
  cables: KnownVelocity[];
}

/** A cable on the ruler, and by what share its velocity factor may be off either way. */
interface KnownVelocity {
  fromM: number;
  toM: number;
  share: number;
}

/** A joint, or an end of an assembly alone. */
export interface Place {
  atM: number;
  name: string;
  /** Whose joint it is: the arrester’s and the antenna’s are looked at first. */
  of: 'arrester' | 'antenna' | 'joint';
}

/**
 * Predicts a sweep.
 *
 * @param faults what is wrong on the line, for stand-ins and practice
 * @param pieceId an assembly alone on the bench; the whole run when empty
 * @throws when the design has no such assembly
 */
export function predictSweep(
  design: Design,
  catalog: Catalog,
  pieceId: string,
  far: FarEndKind,
  frequencyHz: Float64Array,
  faults: readonly LineFault[] = [],
): Swept {
  const sound = placedOn(withTargetLengths(design, catalog), catalog, pieceId);
  const placed = { ...sound, elements: withFaults(sound.elements, faults) };
  const ohm = referenceOhmOf(design);
  const through = scattering(
    placed.elements.map(({ element }) => element),
    frequencyHz,
    ohm,
  );
  // The window weighs the middle of the sweep most.
  const middleHz = (frequencyHz[0] + frequencyHz[frequencyHz.length - 1]) / 2;
  return {
    s11: loaded(through, closedBy(far, design, frequencyHz)),
    lossDb: through.s21.re.map((re, k) => -20 * Math.log10(Math.hypot(re, through.s21.im[k]))),
    ruler: delayRuler(placed.elements.map((one) => stretchOf(one, middleHz))),
    totalM: placed.totalM,
    places: placed.places,
    cables: placed.cables,
  };
}

/** Reflection of what is on the far end, against the run’s impedance. */
export function closedBy(far: FarEndKind, design: Design, frequencyHz: Float64Array): Complex | Complexes {
  const ohm = referenceOhmOf(design);
  switch (far) {
    case 'open':
      return { re: 1, im: 0 };
    case 'short':
      return { re: -1, im: 0 };
    case 'load':
      return { re: 0, im: 0 };
    case 'antenna':
      return reflectionOf(loadImpedance(antennaLoad(design, ohm), frequencyHz), ohm);
  }
}

interface Placed {
  elements: PlacedElement[];
  totalM: number;
  places: Swept['places'];
  cables: KnownVelocity[];
}

const placedOn = (design: Design, catalog: Catalog, pieceId: string): Placed =>
  pieceId === '' ? runElements(design, catalog) : assemblyElements(design, catalog, pieceId);

/**
 * What a wave passes in a run, or in one of its assemblies alone, radio first.
 *
 * @param pieceId empty for the whole run
 * @throws when the design has no such assembly
 */
export const placedElements = (design: Design, catalog: Catalog, pieceId: string): PlacedElement[] =>
  placedOn(withTargetLengths(design, catalog), catalog, pieceId).elements;

function runElements(design: Design, catalog: Catalog): Placed {
  const { elements, joints, pieces, totalM } = layOut(design, catalog, []);
  return {
    elements,
    totalM,
    cables: pieces.flatMap(({ piece, fromM, toM }) =>
      piece.kind === 'assembly' ? [{ fromM, toM, share: velocityShare(piece, catalog) }] : [],
    ),
    places: joints.map(({ atM, number, leftPiece, rightPiece }) => ({
      atM,
      name: `J${number}, ${leftPiece?.name ?? 'radio'} to ${rightPiece?.name ?? 'antenna'}`,
      of:
        leftPiece?.piece.kind === 'arrester' || rightPiece?.piece.kind === 'arrester'
          ? 'arrester'
          : rightPiece
            ? 'joint'
            : 'antenna',
    })),
  };
}

function assemblyElements(design: Design, catalog: Catalog, pieceId: string): Placed {
  const piece = assemblyOf(design, pieceId);
  const [near, far] = [piece.a, piece.b].map(({ part }) => faceOf(entry(catalog.parts, part).face));
  const at = (element: Element, fromM: number, toM: number): PlacedElement => ({ element, fromM, toM });
  return {
    elements: [
      ...jointElements(near, near)
        .slice(1)
        .map((element) => at(element, 0, 0)),
      ...cableElements(piece, catalogAt(catalog, design.service.ambientC), 0, piece.lengthM),
      ...jointElements(far, far)
        .slice(0, 2)
        .map((element) => at(element, piece.lengthM, piece.lengthM)),
    ],
    totalM: piece.lengthM,
    cables: [{ fromM: 0, toM: piece.lengthM, share: velocityShare(piece, catalog) }],
    places: [
      { atM: 0, name: `${piece.label}, radio end`, of: 'joint' },
      { atM: piece.lengthM, name: `${piece.label}, antenna end`, of: 'joint' },
    ],
  };
}

const velocityShare = ({ cable }: Assembly, catalog: Catalog): number =>
  velocityToleranceOf(entry(catalog.cables, cable));

/**
 * How far a place read from an echo may be off, m either way: the velocity factors up to there, and a quarter of what the sweep can part.
 *
 * Source: tolerance by dielectric as in the catalogue; the quarter cell is common practice, no source.
 */
export function placeToleranceM({ cables }: Pick<Swept, 'cables'>, atM: number, cellM: number): number {
  const byVelocity = cables.reduce(
    (sum, { fromM, toM, share }) => sum + share * Math.max(0, Math.min(toM, atM) - fromM),
    0,
  );
  return Math.hypot(byVelocity, cellM / 4);
}

function stretchOf({ element, fromM, toM }: PlacedElement, middleHz: number): DelayStretch {
  if (element.kind !== 'line') return { fromM, toM, delayS: 0, lossDb: 0 };
  return {
    fromM,
    toM,
    delayS: element.lengthM / (element.velocityFactor * SPEED_OF_LIGHT),
    lossDb: matchedLossDb(element, middleHz, element.lengthM),
  };
}

/** The joint an echo comes from; none when it comes from within a cable. */
export function placeAt(
  { places }: Pick<Swept, 'places'>,
  atM: number,
  resolutionM: number,
): Place | undefined {
  const [nearest] = places.toSorted((x, y) => Math.abs(x.atM - atM) - Math.abs(y.atM - atM));
  return Math.abs(nearest.atM - atM) <= Math.max(resolutionM / 2, 0.05) ? nearest : undefined;
}

/** The named place an echo comes from, or between which two it lies. */
export function placeOf(swept: Pick<Swept, 'places'>, atM: number, resolutionM: number): string {
  const { places } = swept;
  const at = placeAt(swept, atM, resolutionM);
  if (at) return at.name;
  const before = places.findLast((place) => place.atM < atM);
  const after = places.find((place) => place.atM > atM);
  const short = ({ name }: { name: string }): string => (/^J\d+/.exec(name) ?? [name])[0];
  if (!before) return `before ${after ? short(after) : 'the run'}`;
  return after ? `in the cable between ${short(before)} and ${short(after)}` : `beyond ${short(before)}`;
}
