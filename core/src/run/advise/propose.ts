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
import { isExposed } from '../../route/index.js';
import { applyChange, freshId } from '../design/change.js';
import { DESIGN_SCHEMA, type AnyPiece, type Assembly, type Design } from '../design/design.js';
import { isReceiveOnly, topHzOf } from '../design/lookups.js';
import { noFacts } from '../facts/facts.js';
import { evaluate } from '../evaluate.js';
import type { Practice } from '../../practice/index.js';
import { referenceOhmOf } from '../design/reference.js';
import { adapterPiece, chainToCable, needsOf, partsToMeet } from '../edit/waysToJoin.js';

export type RunWish = Pick<Design, 'name' | 'service' | 'radio' | 'antenna' | 'legs'>;

/**
 * A complete workable run from two ports, a service and a route.
 *
 * Every cable of the run’s impedance (receive only: 75 ohm too) is tried with ends which meet the ports (by an adapter where no part does), with an arrester where the
 * run comes in from outdoors; the thinnest without a stop or caution of the plan wins, else the one with fewest.
 */
export function proposeRun(wish: RunWish, catalog: Catalog, practice: Practice): Design {
  const bare: Design = { schema: DESIGN_SCHEMA, ...wish, pieces: [] };
  const lengthM = Math.max(
    0.3,
    evaluate({ ...bare, pieces: [] }, catalog, { facts: noFacts, practice, sweepPoints: 1 }).route.total
      .value,
  );
  const topHz = topHzOf(wish);
  const ohm = referenceOhmOf(wish);
  const tried = [...catalog.cables.values()]
    .filter(({ impedanceOhm }) => impedanceOhm === ohm || (isReceiveOnly(wish) && impedanceOhm === 75))
    .sort(
      (x, y) => x.jacketMm - y.jacketMm || attenuationDbPer100M(x, topHz) - attenuationDbPer100M(y, topHz),
    )
    .flatMap((cable) => {
      const design = withCable(bare, cable, lengthM, catalog, practice);
      if (!design) return [];
      const finished = settle(design, catalog, practice);
      return [{ design: finished, weight: planWeight(finished, catalog, practice) }];
    });
  const best = tried.reduce<(typeof tried)[number] | undefined>(
    (lightest, one) => (lightest && lightest.weight <= one.weight ? lightest : one),
    undefined,
  );
  return best?.design ?? bare;
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
  return { ...bare, pieces };
}

/** Styles a proposal leaves to the hand that wants them. */
const byHandOnly = new Set<Style>(['bulkhead', 'pigtail', 'piercing', 'right angle']);

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
  const direct = meeting.find(ofOurSchool) ?? meeting.at(0);
  if (direct) return { part: direct.id, chain: [] };
  const parts = partsFor(cable, catalog.parts.values(), exposed).filter(
    ({ style, face }) => !byHandOnly.has(style) && faceOf(face).body === 'plug' && !isReverse(faceOf(face)),
  );
  const found = chainToCable(faceOf(portFace), parts, catalog, needsOf(bare, catalog, exposed));
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

/** Stops count most, then cautions which the plan itself can avoid, then joints. */
function planWeight(design: Design, catalog: Catalog, practice: Practice): number {
  const { snags } = evaluate(design, catalog, { facts: noFacts, practice, sweepPoints: 1 });
  const avoidable = snags.filter(({ stage }) => stage !== 'seal');
  const stops = avoidable.filter(({ level }) => level === 'stop').length;
  const cautions = avoidable.filter(({ level }) => level === 'caution').length;
  return stops * 100 + cautions * 10 + design.pieces.filter(({ kind }) => kind === 'adapter').length;
}
