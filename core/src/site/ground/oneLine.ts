import * as dagre from '@dagrejs/dagre';
import type { SiteSnag } from '../sheet.js';
import type { BondSheet, GroundSheet } from './groundSheet.js';

interface Size {
  width: number;
  height: number;
}
type Label = Size & { labelpos: 'c' };

/** As much of a graph as is used here: the library’s own types do not resolve by Node.js’s rules for modules. */
interface LayoutGraph {
  setGraph: (how: object) => void;
  setNode: (id: string, size: Size) => void;
  setEdge: (from: string, to: string, label: Label, name: string) => void;
  node: (id: string) => Partial<Spot>;
  edge: (one: { v: string; w: string; name: string }) => Partial<Spot> & { points?: Spot[] };
  graph: () => Partial<Size>;
}
const { Graph, layout } = dagre as unknown as {
  Graph: new (options: { multigraph: boolean }) => LayoutGraph;
  layout: (graph: LayoutGraph) => void;
};

/** Boxes and labels of the one-line drawing, px. */
export const NODE_PX = { width: 130, height: 40 };
const LABEL_PX = { width: 88, height: 30 };

/** A conductor which is missing: what joins an island to the system. */
export interface Gap {
  snag: SiteSnag;
  from: string;
  to: string;
}

interface Spot {
  x: number;
  y: number;
}

export interface PlacedLine {
  id: string;
  points: Spot[];
  label: Spot;
}

export interface OneLine {
  width: number;
  height: number;
  /** Middles of the boxes. */
  nodes: Map<string, Spot>;
  bonds: (PlacedLine & { sheet: BondSheet })[];
  gaps: (PlacedLine & { gap: Gap })[];
}

/** Conductors which would join what is tied to nothing. */
const gapsOf = (snags: readonly SiteSnag[]): Gap[] =>
  snags.flatMap((snag) =>
    snag.rule !== 'ground-island'
      ? []
      : snag.remedies
          .slice(0, 1)
          .flatMap(({ changes }) =>
            changes.flatMap((change) =>
              change.op === 'put bond' ? [{ snag, from: change.bond.from, to: change.bond.to }] : [],
            ),
          ),
  );

/** Lays the ground out from where a surge comes in, left, to the electrodes, right, with as few crossings as can be. */
export function oneLine({ nodes, bonds }: GroundSheet, snags: readonly SiteSnag[]): OneLine {
  const graph = new Graph({ multigraph: true });
  graph.setGraph({ rankdir: 'LR', nodesep: 12, ranksep: 12, edgesep: 8, marginx: 8, marginy: 16 });
  const far = new Map(
    nodes.map(({ id, path, tied, isElectrode }) => [id, isElectrode ? 0 : tied ? path.length : 50]),
  );
  for (const { id } of nodes) graph.setNode(id, { ...NODE_PX });
  const draw = (one: string, other: string, id: string): [string, string] => {
    // A surge runs from the farther to the nearer.
    const ends: [string, string] = (far.get(one) ?? 0) >= (far.get(other) ?? 0) ? [one, other] : [other, one];
    graph.setEdge(...ends, { ...LABEL_PX, labelpos: 'c' }, id);
    return ends;
  };
  const lines = bonds.map((sheet) => ({ sheet, ends: draw(sheet.from.id, sheet.to.id, sheet.bond.id) }));
  const gaps = gapsOf(snags).map((gap) => ({ gap, ends: draw(gap.from, gap.to, gap.snag.id) }));
  layout(graph);
  const placed = ([v, w]: [string, string], name: string): PlacedLine => {
    const { points = [], x = 0, y = 0 } = graph.edge({ v, w, name });
    const [from, to] = [graph.node(v), graph.node(w)];
    // Out at the side of one box, straight through the label, in at the side of the other.
    const half = LABEL_PX.width / 2;
    const between = points.slice(1, -1).filter((point) => Math.abs(point.x - x) > half);
    const way = [
      { x: (from.x ?? 0) + NODE_PX.width / 2, y: from.y ?? 0 },
      ...between.filter((point) => point.x < x),
      { x: x - half, y },
      { x: x + half, y },
      ...between.filter((point) => point.x > x),
      { x: (to.x ?? 0) - NODE_PX.width / 2, y: to.y ?? 0 },
    ];
    return { id: name, points: way, label: { x, y } };
  };
  const { width = 0, height = 0 } = graph.graph();
  return {
    width,
    height,
    nodes: new Map(nodes.map(({ id }) => [id, { x: graph.node(id).x ?? 0, y: graph.node(id).y ?? 0 }])),
    bonds: lines.map(({ sheet, ends }) => ({ sheet, ...placed(ends, sheet.bond.id) })),
    gaps: gaps.map(({ gap, ends }) => ({ gap, ...placed(ends, gap.snag.id) })),
  };
}
