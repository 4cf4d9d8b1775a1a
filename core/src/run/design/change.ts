import type {
  AntennaPort,
  AnyPiece,
  Design,
  Hang,
  Housing,
  JointSeal,
  Leg,
  RadioPort,
  RouteStep,
  Service,
} from './design.js';

/** One change of a design: what remedies apply and what undo takes back. Plain data. */
export type Change =
  | { op: 'splice pieces'; at: number; remove: number; insert: AnyPiece[] }
  | { op: 'set piece'; piece: AnyPiece }
  | { op: 'set service'; service: Partial<Service> }
  | { op: 'set radio'; radio: Partial<RadioPort> }
  | { op: 'set antenna'; antenna: Partial<AntennaPort> }
  | { op: 'set legs'; legs: Leg[] }
  /** Ways of the site; none makes the legs the run’s own again. */
  | { op: 'set route'; route: RouteStep[] }
  | { op: 'set housing'; housing: Housing }
  | { op: 'set hang'; hang: Hang }
  | { op: 'set seal'; joint: string; seal: JointSeal | undefined }
  | { op: 'set name'; name: string }
  | { op: 'set design'; design: Design };

/** Applies a change; the given design is not touched. A piece which is gone leaves the design as it is. */
export function applyChange(design: Design, change: Change): Design {
  if (isAtJoint(change)) return changedAtJoint(design, change);
  switch (change.op) {
    case 'splice pieces':
      return { ...design, pieces: design.pieces.toSpliced(change.at, change.remove, ...change.insert) };
    case 'set piece':
      return {
        ...design,
        pieces: design.pieces.map((piece) => (piece.id === change.piece.id ? change.piece : piece)),
      };
    case 'set service':
      return { ...design, service: { ...design.service, ...change.service } };
    case 'set radio':
      return { ...design, radio: { ...design.radio, ...change.radio } };
    case 'set antenna':
      return { ...design, antenna: { ...design.antenna, ...change.antenna } };
    case 'set legs':
      return { ...design, legs: change.legs };
    case 'set route': {
      const { route: _, ...own } = design;
      return change.route.length > 0 ? { ...own, route: change.route } : own;
    }
    case 'set name':
      return { ...design, name: change.name };
    case 'set design':
      return change.design;
  }
}

type JointChange = Extract<Change, { op: 'set housing' | 'set hang' | 'set seal' }>;

const isAtJoint = (change: Change): change is JointChange =>
  change.op === 'set housing' || change.op === 'set hang' || change.op === 'set seal';

/** What somebody said of one joint takes the place of what was said of it before. */
function changedAtJoint(design: Design, change: JointChange): Design {
  switch (change.op) {
    case 'set housing':
      return { ...design, housings: withOf(design.housings, change.housing) };
    case 'set hang':
      return { ...design, hangs: withOf(design.hangs, change.hang) };
    case 'set seal':
      return withSeal(design, change.joint, change.seal);
  }
}

const withOf = <One extends { joint: string }>(all: readonly One[] = [], one: One): One[] => [
  ...all.filter(({ joint }) => joint !== one.joint),
  one,
];

function withSeal({ seals = [], ...own }: Design, joint: string, seal: JointSeal | undefined): Design {
  const all = [...seals.filter((one) => one.joint !== joint), ...(seal ? [seal] : [])];
  return all.length > 0 ? { ...own, seals: all } : own;
}

/** An id no piece of the design has yet: `adapter`, `adapter-2`, … */
export function freshId(pieces: readonly { id: string }[], stem: string): string {
  const taken = new Set(['radio', 'antenna', ...pieces.map(({ id }) => id)]);
  if (!taken.has(stem)) return stem;
  let n = 2;
  while (taken.has(`${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}
