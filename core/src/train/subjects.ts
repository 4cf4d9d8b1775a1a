import {
  catalog as shipped,
  faces,
  type Cable,
  type Catalog,
  type FaceCode,
  type Part,
} from '../catalog/index.js';
import { fitCable } from '../fit/index.js';
import { cardFor } from '../make/index.js';

/** A connector on a cable: what the drills about an end ask for. */
export interface Subject {
  part: Part;
  cable: Cable;
}

/** What the drills are made from. */
export interface Subjects {
  ends: Subject[];
  faces: ReadonlySet<FaceCode>;
}

const known = new WeakMap<Catalog, Subjects>();

/** Of everything in a catalogue: one part of each connector and style, on the first cable it fits. */
export function allSubjects(catalog: Catalog): Subjects {
  const found = known.get(catalog) ?? {
    ends: endsOf([...catalog.parts.values()], [...catalog.cables.values()]),
    faces: new Set(faces.keys()),
  };
  known.set(catalog, found);
  return found;
}

/**
 * Of what this shop works with: its own parts and cables, the cables on its reels with the connectors which fit them, its ports and adapters.
 *
 * @returns nothing where the shop has entered nothing of its own
 */
export function ownSubjects(catalog: Catalog): Subjects | undefined {
  const ownParts = [...catalog.parts.values()].filter((part) => shipped.parts.get(part.id) !== part);
  const reeled = new Set([...catalog.reels.values()].map(({ cable }) => cable));
  const ownCables = [...catalog.cables.values()].filter(
    (cable) => reeled.has(cable.id) || shipped.cables.get(cable.id) !== cable,
  );
  const ends = [
    ...ownParts.flatMap((part) => endsOf([part], [...ownCables, ...catalog.cables.values()])),
    ...ownCables.flatMap((cable) => endsOf([...catalog.parts.values()], [cable])),
  ];
  const ownFaces = new Set<FaceCode>([
    ...ends.map(({ part }) => part.face),
    ...[...catalog.ports.values()].map(({ face }) => face),
    ...[...catalog.stock.keys()].flatMap((id) => catalog.adapters.get(id)?.faces ?? []),
  ]);
  return ends.length > 0 ? { ends: uniqueEnds(ends), faces: ownFaces } : undefined;
}

/** One part of each connector and style, on the first of the cables which it fits. */
function endsOf(parts: readonly Part[], cables: readonly Cable[]): Subject[] {
  const found = new Map<string, Subject>();
  for (const part of parts)
    for (const cable of cables) {
      const about = `${part.face} ${part.style}`;
      if (!found.has(about) && fitCable(part, cable).verdict === 'fits' && cardFor(part, cable, 'metric'))
        found.set(about, { part, cable });
    }
  return [...found.values()];
}

const uniqueEnds = (ends: readonly Subject[]): Subject[] => [
  ...new Map(ends.map((one) => [`${one.part.id}|${one.cable.id}`, one])).values(),
];
