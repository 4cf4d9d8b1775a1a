import {
  entry,
  faceOf,
  isOfSeries,
  isReverse,
  type Cable,
  type Catalog,
  type Part,
} from '../../catalog/index.js';
import { partsFor, type TurnedAdapter } from '../../fit/index.js';
import { attenuationDbPer100M } from '../../line/index.js';
import { formatDecibels } from '../../quantity/index.js';
import { isExposed } from '../../route/index.js';
import { applyChange, freshId } from '../design/change.js';
import { DESIGN_SCHEMA, type AnyPiece, type Assembly, type Design } from '../design/design.js';
import { isReceiveOnly, topHzOf } from '../design/lookups.js';
import { noFacts } from '../facts/facts.js';
import { byHandOnly, partFor } from '../edit/betterCables.js';
import { evaluate } from '../evaluate.js';
import { seenOf } from '../seen.js';
import { snagsOf } from '../snags/index.js';
import type { Practice } from '../../practice/index.js';
import { referenceOhmOf } from '../design/reference.js';
import { adapterPiece, chainToCable, needsOf, partsToMeet } from '../edit/waysToJoin.js';

export type RunWish = Pick<Design, 'name' | 'service' | 'radio' | 'antenna' | 'legs'>;

export const proposalKinds = ['lowest cost', 'best value', 'lowest loss'] as const;
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
}

/** A run tried with one cable, and what speaks against it. */
interface Tried {
  design: Design;
  cable: Cable;
  weight: number;
  lineDb: number;
}

/**
 * A complete workable run from two ports, a service and a route: the one of lowest cost among the proposals.
 *
 * @returns a run of nothing when no part of the catalogue joins the ports
 */
export const proposeRun = (wish: RunWish, catalog: Catalog, practice: Practice): Design =>
  proposeRuns(wish, catalog, practice).at(0)?.design ?? { schema: DESIGN_SCHEMA, ...wish, pieces: [] };

/**
 * Up to three complete runs side by side: lowest cost (the thinnest cable that has nothing against it), best value and lowest loss.
 *
 * Every cable of the run’s impedance (receive only: 75 ohm too) is tried with ends which meet the ports (by an adapter where no part does), in
 * the family of connectors of the ports, with an arrester where the run comes in from outdoors and flexible jumpers at both ends of stiff line.
 */
export function proposeRuns(wish: RunWish, catalog: Catalog, practice: Practice): Proposal[] {
  const tried = allTried(wish, catalog, practice);
  if (tried.length === 0) return [];
  const least = Math.min(...tried.map(({ weight }) => weight));
  // What has as little against it as can be; stiff line costs its jumpers, not its worth.
  const sound = tried.filter(({ weight }) => weight < least + CAUTION);
  const by = (of: (one: Tried) => number): Tried =>
    sound.reduce((best, one) => (of(one) < of(best) - 1e-9 ? one : best));
  const cheap = by(({ cable, weight }) => weight * 1e-3 + cable.jacketMm);
  const quiet = by(({ lineDb }) => lineDb);
  const half = quiet.lineDb + (cheap.lineDb - quiet.lineDb) / 2;
  const value = by(({ cable, lineDb }) => (lineDb <= half + 1e-9 ? cable.jacketMm : Infinity));
  const chosen: [ProposalKind, Tried][] = [
    ['lowest cost', cheap],
    ['best value', value],
    ['lowest loss', quiet],
  ];
  return [...new Set(chosen.map(([, one]) => one))].map((one) => ({
    kinds: chosen.filter(([, other]) => other === one).map(([kind]) => kind),
    design: one.design,
    lineDb: one.lineDb,
    givesUp: givesUp(one, cheap, quiet),
  }));
}

/** Thicker or lossier than the other extreme, said with figures. */
function givesUp(one: Tried, cheap: Tried, quiet: Tried): string {
  const more: string[] = [];
  if (one.lineDb > quiet.lineDb + 0.05)
    more.push(`${formatDecibels(one.lineDb - quiet.lineDb)} more loss than the lowest`);
  if (one.cable.jacketMm > cheap.cable.jacketMm + 0.05)
    more.push(`${one.cable.jacketMm} mm instead of ${cheap.cable.jacketMm} mm across`);
  if (one.cable.jacketMm > STIFF_MM) more.push('stiff: jumpers at both ends');
  return more.join('; ');
}

function allTried(wish: RunWish, catalog: Catalog, practice: Practice): Tried[] {
  const bare: Design = { schema: DESIGN_SCHEMA, ...wish, pieces: [] };
  const lengthM = Math.max(
    0.3,
    evaluate({ ...bare, pieces: [] }, catalog, { facts: noFacts, practice, sweepPoints: 1 }).route.total
      .value,
  );
  const topHz = topHzOf(wish);
  const ohm = referenceOhmOf(wish);
  return [...catalog.cables.values()]
    .filter(({ impedanceOhm }) => impedanceOhm === ohm || (isReceiveOnly(wish) && impedanceOhm === 75))
    .sort(
      (x, y) => x.jacketMm - y.jacketMm || attenuationDbPer100M(x, topHz) - attenuationDbPer100M(y, topHz),
    )
    .flatMap((cable): Tried[] => {
      const design = withCable(bare, cable, lengthM, catalog, practice);
      if (!design) return [];
      const finished = settle(design, catalog, practice);
      const { weight, lineDb } = weighed(finished, catalog, practice);
      return [{ design: finished, cable, weight, lineDb }];
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
  return { ...bare, pieces: withJumpers(pieces, catalog) };
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
  const asked = meeting.filter(({ style }) => !byHandOnly.has(style));
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

/** Cable stiffer than this is not bent to a radio’s port, mm of jacket. Common practice, no source. */
const STIFF_MM = 12;
/** Jumpers at the radio and at the antenna, m. Common practice, no source. */
const JUMPER_M = { radio: 1.5, antenna: 1 };
/** What a jumper is made of, first what is there. */
const jumperCables = ['c400f', 'rg214', 'rg213'];

/** A flexible jumper on each side of a stiff run, joined to it jack to plug; the run as it was where parts for that are missing. */
function withJumpers(pieces: AnyPiece[], catalog: Catalog): AnyPiece[] {
  const main = pieces.findIndex((piece) => piece.kind === 'assembly');
  const stiff = pieces[main];
  if (stiff?.kind !== 'assembly') return pieces;
  const cable = entry(catalog.cables, stiff.cable);
  if (cable.jacketMm <= STIFF_MM || stiff.lengthM < 2 * (JUMPER_M.radio + JUMPER_M.antenna)) return pieces;
  const flexible = jumperCables
    .map((id) => catalog.cables.get(id))
    .find((one) => one?.impedanceOhm === cable.impedanceOhm);
  const jack = partFor('n-jack', cable, catalog);
  if (!flexible || !jack) return pieces;
  const plug = partFor('n-plug', flexible, catalog);
  const outer = (end: 'a' | 'b'): string | undefined =>
    partFor(entry(catalog.parts, stiff[end].part).face, flexible, catalog);
  const [near, far] = [outer('a'), outer('b')];
  if (!plug || !near || !far) return pieces;
  const jumper = (id: string, label: string, lengthM: number, a: string, b: string): Assembly => ({
    kind: 'assembly',
    id: freshId(pieces, id),
    label,
    cable: flexible.id,
    lengthM,
    a: { part: a },
    b: { part: b },
  });
  return pieces.toSpliced(
    main,
    1,
    jumper('jumper', 'Radio jumper', JUMPER_M.radio, near, plug),
    {
      ...stiff,
      lengthM: stiff.lengthM - JUMPER_M.radio - JUMPER_M.antenna,
      a: { part: jack },
      b: { part: jack },
    },
    jumper('tail', 'Antenna jumper', JUMPER_M.antenna, plug, far),
  );
}

const CAUTION = 10;

/** Stops count most, then cautions which the plan itself can avoid, then joints; and what the line loses. */
function weighed(design: Design, catalog: Catalog, practice: Practice): { weight: number; lineDb: number } {
  const { context } = seenOf(design, catalog, { facts: noFacts, practice });
  const avoidable = snagsOf(context).filter(({ stage }) => stage !== 'seal');
  // In salt a proposal is tinned throughout where it can be.
  const count = (wanted: string): number =>
    avoidable.filter(({ level, rule }) => (rule === 'salt-cable' ? 'caution' : level) === wanted).length;
  return {
    weight:
      count('stop') * 100 +
      count('caution') * CAUTION +
      design.pieces.filter(({ kind }) => kind === 'adapter').length,
    lineDb: context.lineDb,
  };
}
