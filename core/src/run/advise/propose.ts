import {
  faceOf,
  isOfSeries,
  isReverse,
  type Cable,
  type Catalog,
  type Part,
  type Style,
} from '../../catalog/index.js';
import { partsFor, type TurnedAdapter } from '../../fit/index.js';
import { attenuationDbPer100M } from '../../line/index.js';
import { formatDecibels, formatLength } from '../../quantity/index.js';
import { isExposed } from '../../route/index.js';
import { applyChange, freshId } from '../design/change.js';
import { DESIGN_SCHEMA, type AnyPiece, type Assembly, type Design } from '../design/design.js';
import { isReceiveOnly, topHzOf } from '../design/lookups.js';
import { noFacts } from '../facts/facts.js';
import { byHandOnly } from '../edit/betterCables.js';
import { evaluate } from '../evaluate.js';
import { seenOf } from '../seen.js';
import { snagsOf } from '../snags/index.js';
import { ALWAYS_ON } from '../snags/duplexNoise.js';
import { bestValue } from './bestValue.js';
import { isSmallPort, isStiff, LEAST_STIFF_M, withJumpers, withLead } from './leads.js';
import type { Practice } from '../../practice/index.js';
import { referenceOhmOf } from '../design/reference.js';
import { adapterPiece, chainToCable, needsOf, partsToMeet } from '../edit/waysToJoin.js';

export type RunWish = Pick<Design, 'name' | 'service' | 'radio' | 'antenna' | 'legs'>;

export const proposalKinds = ['lowest cost', 'thinnest', 'best value', 'lowest loss'] as const;
export type ProposalKind = (typeof proposalKinds)[number];

/** One of the runs which are proposed side by side. */
export interface Proposal {
  /** What it is the best of; one run may be the best of several. */
  kinds: ProposalKind[];
  design: Design;
  /** Loss into a matched load, dB: what the cable costs. */
  lineDb: number;
  /** What it gives up against the others, in words; empty when nothing. */
  givesUp: string;
  /** Does it lose no more than the service allows? Where no cable does, there is one proposal: the least lossy. */
  keepsBudget: boolean;
}

/** A run tried with one cable, and what speaks against it. */
interface Tried {
  design: Design;
  cable: Cable;
  weight: number;
  lineDb: number;
  keepsBudget: boolean;
}

/**
 * A complete workable run from two ports, a service and a route: the one of lowest cost among the proposals.
 *
 * @returns a run of nothing when no part of the catalogue joins the ports
 */
export const proposeRun = (wish: RunWish, catalog: Catalog, practice: Practice): Design =>
  proposeRuns(wish, catalog, practice).at(0)?.design ?? { schema: DESIGN_SCHEMA, ...wish, pieces: [] };

/**
 * Up to three complete runs side by side: lowest cost where the prices of all are known, else the thinnest, best value and lowest loss. Where no
 * cable keeps the budget the least lossy alone, which says so.
 *
 * Every cable of the run’s impedance (receive only: 75 ohm too) is tried with ends which meet the ports (by an adapter where no part does), in
 * the family of connectors of the ports, with an arrester where the run comes in from outdoors and flexible jumpers at both ends of stiff line.
 */
export function proposeRuns(wish: RunWish, catalog: Catalog, practice: Practice): Proposal[] {
  const tried = allTried(wish, catalog, practice);
  if (tried.length === 0) return [];
  const fewest = Math.min(...tried.map(stopsOf));
  const possible = tried.filter((one) => stopsOf(one) === fewest);
  const keeping = possible.filter(({ keepsBudget }) => keepsBudget);
  if (keeping.length === 0) return [leastLossy(possible)];
  const least = Math.min(...keeping.map(({ weight }) => weight));
  // What has as little against it as can be; stiff line costs its jumpers, not its worth.
  const sound = keeping.filter(({ weight }) => weight < least + CAUTION);
  const by = (of: (one: Tried) => number): Tried =>
    sound.reduce((best, one) => (of(one) < of(best) - 1e-9 ? one : best));
  const priced = sound.every(({ cable }) => cable.costPerM !== undefined);
  const price = ({ cable }: Tried): number => (priced ? (cable.costPerM ?? Infinity) : cable.jacketMm);
  const cheap = by((one) => one.weight * 1e-3 + price(one));
  const quiet = by(({ lineDb }) => lineDb);
  const value = bestValue(sound, price, ({ lineDb }) => lineDb) ?? cheap;
  const chosen: [ProposalKind, Tried][] = [
    [priced ? 'lowest cost' : 'thinnest', cheap],
    ['best value', value],
    ['lowest loss', quiet],
  ];
  return [...new Set(chosen.map(([, one]) => one))].map((one) => ({
    kinds: chosen.filter(([, other]) => other === one).map(([kind]) => kind),
    design: one.design,
    lineDb: one.lineDb,
    givesUp: givesUp(one, cheap, quiet),
    keepsBudget: one.keepsBudget,
  }));
}

const stopsOf = ({ weight }: Tried): number => Math.floor(weight / STOP);

/** What loses least of all that can be built. */
function leastLossy(possible: readonly Tried[]): Proposal {
  const { design, lineDb } = possible.reduce((best, one) => (one.lineDb < best.lineDb - 1e-9 ? one : best));
  return { kinds: ['lowest loss'], design, lineDb, givesUp: '', keepsBudget: false };
}

/** What helps where no cable keeps the budget, each with its figure where there is one. */
export function insteadOfCable({ design, lineDb }: Pick<Proposal, 'design' | 'lineDb'>): string[] {
  const { lossBudgetDb, powerW } = design.service;
  const metres = design.legs.reduce((sum, { lengthM, slackM }) => sum + lengthM + slackM, 0);
  const reachM = (metres * lossBudgetDb) / lineDb;
  return [
    ...(powerW === 0
      ? ['An amplifier at the antenna, fed over the cable: the loss behind it hardly counts']
      : ['An amplifier at the antenna, or the radio itself up there with only power and data on the way']),
    `A shorter way: about ${formatLength(reachM, { system: 'metric' })} keep ${formatDecibels(lossBudgetDb)}`,
    'Another place for the radio, or a lower band',
    `More loss allowed: ${formatDecibels(lineDb)} leave ${formatShare(10 ** (-lineDb / 10))}`,
  ];
}

const formatShare = (share: number): string =>
  share >= 0.01
    ? `${Math.round(share * 100)} % of the power`
    : `${(share * 100).toPrecision(2)} % of the power`;

/** Thicker or lossier than the other extreme, said with figures. */
function givesUp(one: Tried, cheap: Tried, quiet: Tried): string {
  const more: string[] = [];
  if (one.lineDb > quiet.lineDb + 0.05)
    more.push(`${formatDecibels(one.lineDb - quiet.lineDb)} more loss than the lowest`);
  if (one.cable.jacketMm > cheap.cable.jacketMm + 0.05)
    more.push(`${one.cable.jacketMm} mm across instead of ${cheap.cable.jacketMm} mm`);
  if (isStiff(one.cable)) more.push('stiff: jumpers at both ends');
  return more.join('; ');
}

function allTried(wish: RunWish, catalog: Catalog, practice: Practice): Tried[] {
  const bare: Design = { schema: DESIGN_SCHEMA, ...wish, pieces: [] };
  const lengthM = Math.max(
    0.3,
    evaluate({ ...bare, pieces: [] }, catalog, { facts: noFacts, practice, sweepPoints: 1 }).route.total
      .value,
  );
  const all = ohmsOf(wish).map((ohm) => triedWith(ohm, bare, lengthM, catalog, practice));
  // The first impedance which gives a run without a stop; else whatever there is.
  return all.find((some) => some.some(({ weight }) => weight < STOP)) ?? all.flat();
}

/** Impedances of cable to try, the first which does wins: receive-only with a 75 ohm port is 75 ohm end to end, a mismatch of 0.2 dB. */
function ohmsOf(wish: RunWish): number[] {
  const ohm = referenceOhmOf(wish);
  const has75 = [wish.radio.face, wish.antenna.face].some((face) => faceOf(face).impedanceOhm === 75);
  if (!isReceiveOnly(wish) || ohm === 75) return [ohm];
  return has75 ? [75, ohm] : [ohm];
}

function triedWith(
  ohm: number,
  bare: Design,
  lengthM: number,
  catalog: Catalog,
  practice: Practice,
): Tried[] {
  const topHz = topHzOf(bare);
  return [...catalog.cables.values()]
    .filter((cable) => cable.impedanceOhm === ohm && (lengthM >= LEAST_STIFF_M || !isStiff(cable)))
    .sort(
      (x, y) => x.jacketMm - y.jacketMm || attenuationDbPer100M(x, topHz) - attenuationDbPer100M(y, topHz),
    )
    .flatMap((cable): Tried[] => {
      const design = withCable(bare, cable, lengthM, catalog, practice);
      if (!design) return [];
      const finished = settle(design, catalog, practice);
      return [{ design: finished, cable, ...weighed(finished, catalog, practice) }];
    });
}

/** One cable from port to port; adapters where no part meets a port. */
function withCable(
  bare: Design,
  cable: Cable,
  lengthM: number,
  catalog: Catalog,
  practice: Practice,
): Design | undefined {
  const inside = bare.legs.at(0)?.zone ?? 'dry';
  const outside = bare.legs.at(-1)?.zone ?? 'dry';
  const near = endFor(bare, bare.radio.face, cable, catalog, isExposed(inside), practice);
  const far = endFor(bare, bare.antenna.face, cable, catalog, isExposed(outside), practice);
  if (!near || !far) return undefined;
  const main: Assembly = {
    kind: 'assembly',
    id: 'main',
    label: 'Main cable',
    cable: cable.id,
    lengthM,
    a: { part: near.part },
    b: { part: far.part },
  };
  const pieces: AnyPiece[] = [];
  const add = (one: TurnedAdapter): number => pieces.push(adapterPiece(freshId(pieces, 'adapter'), one));
  near.chain.forEach(add);
  pieces.push(main);
  far.chain.toReversed().forEach(({ adapter, reversed }) => add({ adapter, reversed: !reversed }));
  const duplex = bare.service.duty >= ALWAYS_ON;
  return { ...bare, pieces: withLead(withJumpers(pieces, catalog, duplex), bare, catalog) };
}

/** The part which meets a port on this cable, or one behind the best chain of adapters (port side first). */
function endFor(
  bare: Design,
  portFace: string,
  cable: Cable,
  catalog: Catalog,
  exposed: boolean,
  { uhfShield }: Practice,
): { part: string; chain: TurnedAdapter[] } | undefined {
  const meeting = partsToMeet(faceOf(portFace), cable.id, catalog, exposed);
  const ofOurSchool = ({ style, face }: Part): boolean => style === uhfShield && isOfSeries(face, 'uhf');
  // Bare terminals are what a pigtail is for.
  const own = faceOf(portFace).series === 'pair' ? withoutPigtail : byHandOnly;
  const asked = meeting.filter(({ style }) => !own.has(style));
  const direct = asked.find(ofOurSchool) ?? asked.at(0);
  if (direct) return { part: direct.id, chain: [] };
  const parts = partsFor(cable, catalog.parts.values(), exposed).filter(
    ({ style, face }) => !byHandOnly.has(style) && faceOf(face).body === 'plug' && !isReverse(faceOf(face)),
  );
  // A right angle is for whoever asks for one.
  const straight = {
    ...catalog,
    adapters: new Map([...catalog.adapters].filter(([, { form }]) => form !== 'right angle')),
  };
  const found = chainToCable(faceOf(portFace), parts, straight, needsOf(bare, catalog, exposed));
  return found && { part: found.part.id, chain: found.chain.adapters };
}

/** Applies the first remedy of what a proposal settles by itself: the arrester at the entry, and the reach. */
function settle(design: Design, catalog: Catalog, practice: Practice): Design {
  let settled = design;
  for (const rule of ['arrester-missing', 'reach']) {
    const snag = evaluate(settled, catalog, { facts: noFacts, practice, sweepPoints: 1 }).snags.find(
      (one) => one.rule === rule && one.level !== 'note',
    );
    for (const change of snag?.remedies.at(0)?.changes ?? []) settled = applyChange(settled, change);
  }
  return settled;
}

const CAUTION = 10;
const STOP = 100;
/** Two of them are as bad as a caution. */
const ADAPTER = 5;
/** Notes which a proposal takes for cautions. */
const STRICTER: ReadonlySet<string> = new Set(['salt-cable', 'duplex-noise']);
/** All styles nobody gets unasked, but the pigtail. */
const withoutPigtail: ReadonlySet<Style> = new Set([...byHandOnly].filter((style) => style !== 'pigtail'));

/** Stops count most, then cautions which the plan itself can avoid, then joints; and what the line loses. */
/** An adapter is one more joint; at an antenna in the open it takes the place of the antenna’s own connector, at a small port
 * it is a lever. A saver is wanted. */
function adapterWeight({ pieces, legs, radio }: Design, { adapters }: Catalog): number {
  const outside = isExposed(legs.at(-1)?.zone ?? 'dry');
  return pieces.reduce((sum, piece, k) => {
    if (piece.kind !== 'adapter' || adapters.get(piece.adapter)?.form === 'saver') return sum;
    const isLever = k === 0 && isSmallPort(radio.face);
    return sum + (isLever || (outside && k === pieces.length - 1) ? CAUTION : ADAPTER);
  }, 0);
}

function weighed(
  design: Design,
  catalog: Catalog,
  practice: Practice,
): Pick<Tried, 'weight' | 'lineDb' | 'keepsBudget'> {
  const { context } = seenOf(design, catalog, { facts: noFacts, practice });
  const avoidable = snagsOf(context).filter(({ stage }) => stage !== 'seal');
  // In salt a proposal is tinned throughout where it can be, under duplex it has no foil under its braid.
  const count = (wanted: string): number =>
    avoidable.filter(({ level, rule }) => (STRICTER.has(rule) ? 'caution' : level) === wanted).length;
  return {
    weight: count('stop') * STOP + count('caution') * CAUTION + adapterWeight(design, catalog),
    lineDb: context.lineDb,
    keepsBudget: !avoidable.some(({ rule }) => rule === 'loss-budget'),
  };
}
