import { entry, type Catalog } from '../../catalog/index.js';
import { arrestersOf } from '../../run/index.js';
import {
  arresterNode,
  electrodeKinds,
  type GroundNode,
  type GroundNodeKind,
  type Metal,
} from '../document/ground.js';
import type { Place3, Site } from '../document/site.js';
import type { SurveyedRun } from '../waySheet.js';
import type { BondRole } from '../../ground/index.js';

/** An arrester of a run, as the ground sees it. */
export interface GroundedArrester {
  run: string;
  runName: string;
  piece: string;
  name: string;
  /** Nominal voltage of its tube; one without a tube has none. */
  tubeV: number | undefined;
}

/** A part of the ground: drawn, or the arrester of a run. */
export interface GroundPart {
  id: string;
  name: string;
  kind: GroundNodeKind | 'arrester';
  metal: Metal;
  place: Place3 | undefined;
  node?: GroundNode;
  arrester?: GroundedArrester;
}

export const isElectrode = ({ kind }: Pick<GroundPart, 'kind'>): boolean =>
  (electrodeKinds as readonly string[]).includes(kind);

export const isBar = ({ kind }: Pick<GroundPart, 'kind'>): boolean =>
  kind === 'entry bar' || kind === 'main bar';

/** Has it to be tied to anything? A line without a protector has nothing to tie. */
export const isToBeTied = ({ node }: GroundPart): boolean =>
  node?.kind !== 'other line' || node.protector !== '';

/** Everything of a ground: what is drawn, then the arresters of its runs. */
export function groundParts(
  { points, ground }: Site,
  runs: readonly SurveyedRun[],
  catalog: Catalog,
): GroundPart[] {
  const places = new Map(points.map((point) => [point.id, point]));
  return [
    ...ground.nodes.map((node): GroundPart => {
      const { id, name, kind, metal, point } = node;
      return { id, name, kind, metal, node, place: point === undefined ? undefined : places.get(point) };
    }),
    ...runs.flatMap(({ id: run, design }) =>
      arrestersOf(design).map((piece): GroundPart => {
        const { name, tubeChangeable } = entry(catalog.arresters, piece.arrester);
        return {
          id: arresterNode(run, piece.id),
          name: `arrester of ${design.name}`,
          kind: 'arrester',
          metal: 'brass',
          place: undefined,
          arrester: {
            run,
            runName: design.name,
            piece: piece.id,
            name,
            tubeV: tubeChangeable ? piece.tubeV : undefined,
          },
        };
      }),
    ),
  ];
}

/** What a conductor between two parts is for. */
export function roleOf(one: GroundPart, other: GroundPart): BondRole {
  const either = (...kinds: GroundPart['kind'][]): boolean =>
    [one, other].some(({ kind }) => kinds.includes(kind));
  if (either('arrester')) return 'arrester';
  if (either('ground kit')) return 'shield';
  if (either('rack', 'other line', 'metalwork')) return 'equipment';
  return either('mast') ? 'mast' : 'electrodes';
}
