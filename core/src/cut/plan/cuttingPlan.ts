import type { Reel } from '../../catalog/index.js';
import type { MilpSolver } from '../../milp/index.js';
import { greedyPlan } from './greedy.js';
import {
  allowed,
  groupsOf,
  lotKey,
  soundMm,
  spanMm,
  takenMm,
  type Counts,
  type PieceGroup,
} from './grouping.js';
import { REEL_MM, newWeight, programOf, type Aim, type Goal, type Reached } from './program.js';
import { SAW_M, soundSpans, type Span, type WantedPiece } from './stock.js';

/** What a plan may do. */
export interface PlanLimits {
  /** A remnant shorter than this is scrap, m. */
  usefulM: number;
  /** Length of a reel to be bought, m. */
  buyM: number;
  /** Time for the whole plan, s. */
  limitS: number;
  /** What comes first; least new cable when nothing is said. */
  aim?: Aim;
}

/** What is usual: a remnant of half a metre still makes a jumper, and the trade’s reel holds 100 m. Common practice, no source. */
export const usualPlan: Pick<PlanLimits, 'usefulM' | 'buyM'> = { usefulM: 0.5, buyM: 100 };

/** One stretch of cable with what is cut from it, from its outer end, m. */
export interface PlannedSpan {
  span: Span;
  /** Places along the reel, m. */
  cuts: { piece: WantedPiece; fromM: number; toM: number }[];
  remnantM: number;
  isScrap: boolean;
}

/** How good one goal was met, and what no plan can beat, m. */
export interface Met {
  valueM: number;
  boundM: number;
  proved: boolean;
}

/** The plan of one cable. */
export interface CablePlan {
  cable: string;
  spans: PlannedSpan[];
  totalM: number;
  /** Cut from reels nobody had begun, and from reels to be bought, m. */
  fromReelsM: number;
  toBuyM: number;
  /** The first aim (new cable, what is bought counted ten times; reels; or cost as metres paid), scrap, and the longest remnant of a used stretch. */
  newCable: Met;
  scrap: Met;
  longest: Met;
}

export interface CuttingPlan {
  /** A shorter remnant is scrap, m. */
  usefulM: number;
  cables: CablePlan[];
  /** Pieces no cable on the shelf or to be bought can be cut for. */
  impossible: { piece: WantedPiece; why: string }[];
}

export interface PlanProgress {
  cable: string;
  goal: Goal;
  /** Cables done and all. */
  done: number;
  all: number;
}

/** Shares of the time for the three goals. */
const SHARES: Record<Goal, number> = { new: 0.45, scrap: 0.35, remnant: 0.2 };

/**
 * From which reels and offcuts everything is cut: least new cable first, then least scrap, then the longest single remnant.
 *
 * Each goal is a mixed-integer program whose result limits the next; what is not proved in time is shown with its bound.
 * @param solve a solver of mixed-integer programs, for example HiGHS
 */
export async function cuttingPlan(
  wanted: readonly WantedPiece[],
  reels: readonly Reel[],
  limits: PlanLimits,
  solve: MilpSolver,
  onProgress: (progress: PlanProgress) => void = () => undefined,
): Promise<CuttingPlan> {
  const ids = [...new Set(wanted.map(({ cable }) => cable))];
  const plan: CuttingPlan = { usefulM: limits.usefulM, cables: [], impossible: [] };
  for (const [done, cable] of ids.entries()) {
    const shelf = reels.filter((reel) => reel.cable === cable).flatMap(soundSpans);
    const own = { ...limits, limitS: limits.limitS / ids.length };
    const { possible, impossible } = await sorted(
      wanted.filter((piece) => piece.cable === cable),
      shelf,
      own,
      solve,
    );
    plan.impossible.push(...impossible);
    const tell = (goal: Goal): void => onProgress({ cable, goal, done, all: ids.length });
    const { planned, left } = await planMost(cable, possible, shelf, own, solve, tell);
    if (planned) plan.cables.push(planned);
    plan.impossible.push(
      ...left.map((piece) => ({
        piece,
        why: `It finds no place beside the others, on the shelf or on reels of ${limits.buyM} m.`,
      })),
    );
  }
  return plan;
}

/** Whether some plan exists on these stretches: a careful hand is asked first, then the solver. */
async function isFeasible(
  pieces: readonly WantedPiece[],
  spans: readonly Span[],
  { limitS, usefulM }: PlanLimits,
  solve: MilpSolver,
): Promise<boolean> {
  const groups = groupsOf(pieces);
  if (groups.some((group) => !spans.some((span) => allowed(group, span)))) return false;
  if (greedyPlan(groups, spans)) return true;
  const { text, countsOf } = programOf(groups, spans, Math.round(usefulM * 1000), 'new', {});
  const { values } = await solve(text, limitS * FEASIBLE_SHARE);
  return isPlan(groups, spans, countsOf(values));
}

/** Of the time: looking whether something fits at all. */
const FEASIBLE_SHARE = 0.3;

/** What cannot be planned at all is told before the rest is planned. */
async function sorted(
  pieces: readonly WantedPiece[],
  shelf: readonly Span[],
  limits: PlanLimits,
  solve: MilpSolver,
): Promise<{ possible: WantedPiece[]; impossible: CuttingPlan['impossible'] }> {
  const { buyM } = limits;
  const impossible: CuttingPlan['impossible'] = [];
  const refuse = (those: readonly WantedPiece[], why: string): void =>
    void impossible.push(...those.map((piece) => ({ piece, why })));
  const longest = Math.max(buyM, ...shelf.map(({ lengthM }) => lengthM));
  let possible = pieces.filter((piece) => {
    if (piece.lengthM <= longest) return true;
    refuse([piece], `It is longer than any stretch on the shelf and than a reel of ${buyM} m.`);
    return false;
  });
  for (const lot of new Set(possible.map((piece) => piece.lot))) {
    if (lot === '') continue;
    const mine = possible.filter((piece) => piece.lot === lot);
    const ofLot = shelf.filter((span) => span.lot === lot);
    if (
      await isFeasible(
        mine.map((piece) => ({ ...piece, set: '' })),
        ofLot,
        limits,
        solve,
      )
    )
      continue;
    refuse(mine, `There is not enough of lot ${lot} on the shelf.`);
    possible = possible.filter((piece) => piece.lot !== lot);
  }
  for (const set of new Set(possible.map((piece) => piece.set))) {
    if (set === '') continue;
    const mine = possible.filter((piece) => piece.set === set);
    if (await isFeasible(mine, [...shelf, toBuy(buyM, 0)], limits, solve)) continue;
    refuse(mine, `Set ${set} does not fit into one lot, nor into a reel of ${buyM} m.`);
    possible = possible.filter((piece) => piece.set !== set);
  }
  return { possible, impossible };
}

/** Plans as many as can be: where no plan holds all, the longest gives way first. */
async function planMost(
  cable: string,
  possible: readonly WantedPiece[],
  shelf: readonly Span[],
  limits: PlanLimits,
  solve: MilpSolver,
  tell: (goal: Goal) => void,
): Promise<{ planned: CablePlan | undefined; left: WantedPiece[] }> {
  let rest = possible.toSorted((x, y) => x.lengthM - y.lengthM);
  const left: WantedPiece[] = [];
  while (rest.length > 0) {
    const planned = await planOne(cable, rest, shelf, limits, solve, tell);
    if (planned) return { planned, left };
    left.push(rest[rest.length - 1]);
    rest = rest.slice(0, -1);
  }
  return { planned: undefined, left };
}

const toBuy = (lengthM: number, k: number): Span => ({
  reel: undefined,
  name: `reel to buy ${k + 1}`,
  lot: `bought ${k + 1}`,
  source: 'to buy',
  fromM: 0,
  lengthM,
});

/** Stock with as many reels to be bought as a careful hand would need, and that hand’s plan; none where the hand finds no place for all. */
function withPurchases(
  groups: readonly PieceGroup[],
  shelf: readonly Span[],
  buyM: number,
): { spans: Span[]; hand: Counts | undefined } {
  const most = groups.reduce((sum, { pieces }) => sum + pieces.length, 0);
  for (let reels = 0; reels <= most; reels++) {
    const spans = [...shelf, ...Array.from({ length: reels }, (_, k) => toBuy(buyM, k))];
    const hand = greedyPlan(groups, spans);
    if (hand) return { spans, hand };
  }
  return { spans: [...shelf, ...Array.from({ length: most }, (_, k) => toBuy(buyM, k))], hand: undefined };
}

async function planOne(
  cable: string,
  pieces: readonly WantedPiece[],
  shelf: readonly Span[],
  limits: PlanLimits,
  solve: MilpSolver,
  tell: (goal: Goal) => void,
): Promise<CablePlan | undefined> {
  const groups = groupsOf(pieces);
  const { spans, hand } = withPurchases(groups, shelf, limits.buyM);
  const usefulMm = Math.round(limits.usefulM * 1000);
  const { aim = 'new cable' } = limits;
  let best = hand ?? (await anyPlan(groups, spans, limits, solve));
  if (!best) return undefined;
  const first = best;
  const reached: Reached = {};
  const met = async (goal: Goal): Promise<Met> => {
    tell(goal);
    const now = best ?? first;
    const value = (counts: Counts): number => valueMm(goal, groups, spans, counts, usefulMm, aim);
    const { text, countsOf } = programOf(groups, spans, usefulMm, goal, reached, aim);
    const solution = await solve(text, limits.limitS * SHARES[goal]);
    const found = countsOf(solution.values);
    const better =
      isPlan(groups, spans, found) &&
      keeps(groups, spans, found, usefulMm, reached, aim) &&
      value(found) <= value(now);
    if (better) best = found;
    const mm = value(better ? found : now);
    const bound = solution.proved ? mm : boundOf(goal, solution.bound, mm);
    return { valueM: Math.abs(mm) / 1000, boundM: Math.abs(bound) / 1000, proved: solution.proved && better };
  };
  const newCable = await met('new');
  reached.newMm = valueMm('new', groups, spans, best, usefulMm, aim);
  const scrap = await met('scrap');
  reached.scrapMm = valueMm('scrap', groups, spans, best, usefulMm, aim);
  const longest = await met('remnant');
  const planned = laidOut(groups, spans, best, limits.usefulM);
  const cutM = (of: readonly PlannedSpan[]): number =>
    of.reduce((sum, { cuts }) => sum + cuts.reduce((all, { fromM, toM }) => all + toM - fromM, 0), 0);
  return {
    cable,
    spans: planned,
    totalM: cutM(planned),
    fromReelsM: cutM(planned.filter(({ span }) => span.source === 'reel')),
    toBuyM: cutM(planned.filter(({ span }) => span.source === 'to buy')),
    newCable,
    scrap,
    longest,
  };
}

/** A bound in the goal’s own direction; a solver that found none says nothing. */
function boundOf(goal: Goal, bound: number, mm: number): number {
  if (!Number.isFinite(bound)) return goal === 'remnant' ? mm : 0;
  return goal === 'remnant' ? Math.min(bound, mm) : Math.max(0, Math.min(bound, mm));
}

/** What a goal makes least, mm. */
function valueMm(
  goal: Goal,
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  counts: Counts,
  usefulMm: number,
  aim: Aim,
): number {
  const taken = takenMm(groups, counts, spans);
  const sum = (of: (mm: number, b: number) => number): number =>
    taken.reduce((total, mm, b) => total + (mm > 0 ? of(mm, b) : 0), 0);
  const left = (mm: number, b: number): number => Math.max(0, soundMm(spans[b]) - mm);
  switch (goal) {
    case 'new':
      return sum((mm, b) => firstValueMm(aim, spans[b], mm));
    case 'scrap':
      return sum((mm, b) => (left(mm, b) < usefulMm ? left(mm, b) : 0));
    case 'remnant':
      return -Math.max(0, ...taken.map((mm, b) => (mm > 0 ? left(mm, b) : 0)));
  }
}

/** What a used stretch costs the first goal, mm. */
function firstValueMm(aim: Aim, span: Span, mm: number): number {
  if (span.source === 'offcut') return 0;
  if (aim === 'reels') return REEL_MM;
  if (aim === 'cost') return span.source === 'to buy' ? spanMm(span) : mm;
  return mm * newWeight[span.source];
}

/** A plan of the solver’s, where a careful hand found none. */
async function anyPlan(
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  { limitS, usefulM }: PlanLimits,
  solve: MilpSolver,
): Promise<Counts | undefined> {
  const { text, countsOf } = programOf(groups, spans, Math.round(usefulM * 1000), 'new', {});
  const found = countsOf((await solve(text, limitS * FEASIBLE_SHARE)).values);
  return isPlan(groups, spans, found) ? found : undefined;
}

/** Is every piece cut once, no span overdrawn, and every set of one lot? */
function isPlan(groups: readonly PieceGroup[], spans: readonly Span[], counts: Counts): boolean {
  const all = groups.every((group, t) => counts[t].reduce((sum, n) => sum + n, 0) === group.pieces.length);
  const fits = takenMm(groups, counts, spans).every((mm, b) => mm <= spanMm(spans[b]));
  const lots = new Map<string, string>();
  const oneLot = groups.every(({ set }, t) =>
    counts[t].every((n, b) => {
      if (n === 0 || set === '') return true;
      const lot = lotKey(spans[b], b);
      if ((lots.get(set) ?? lot) !== lot) return false;
      lots.set(set, lot);
      return true;
    }),
  );
  return all && fits && oneLot;
}

const keeps = (
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  counts: Counts,
  usefulMm: number,
  { newMm, scrapMm }: Reached,
  aim: Aim,
): boolean =>
  (newMm === undefined || valueMm('new', groups, spans, counts, usefulMm, aim) <= newMm + 1) &&
  (scrapMm === undefined || valueMm('scrap', groups, spans, counts, usefulMm, aim) <= scrapMm + 1);

/** Pieces side by side on their spans, longest first. */
function laidOut(
  groups: readonly PieceGroup[],
  spans: readonly Span[],
  counts: Counts,
  usefulM: number,
): PlannedSpan[] {
  const waiting = groups.map(({ pieces }) => [...pieces]);
  return spans.flatMap((span, b) => {
    let at = span.fromM;
    const cuts = groups.flatMap((_, t) =>
      waiting[t].splice(0, counts[t][b]).map((piece) => {
        const fromM = at;
        at += piece.lengthM + SAW_M;
        return { piece, fromM, toM: fromM + piece.lengthM };
      }),
    );
    if (cuts.length === 0) return [];
    const remnantM = Math.max(0, span.fromM + span.lengthM - at);
    return [{ span, cuts, remnantM, isScrap: remnantM < usefulM }];
  });
}
