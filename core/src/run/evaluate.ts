import { chooseTube } from '../ground/index.js';
import { withTargetLengths } from './design/targetLengths.js';
import { entry, type Catalog } from '../catalog/index.js';
import {
  along,
  catalogAt,
  loadImpedance,
  returnLossDb,
  sweep,
  swrFromReflection,
  type Response,
} from '../line/index.js';
import { routeLength } from '../route/index.js';
import { antennaLoad } from './wave/antennaLoad.js';
import { looksOf } from './wave/looks.js';
import type { Design } from './design/design.js';
import type { StageId } from './design/stageId.js';
import { arrestersOf, assembliesOf, isReceiveOnly, lowHzOf, topHzOf } from './design/lookups.js';
import type { Facts } from './facts/kinds.js';
import { sentences } from './sheet/headline.js';
import { layOut } from './wave/layout.js';
import { figures, jointSheet, pieceSheet } from './sheet/lineSheets.js';
import { REMAKE_M, type Practice } from '../practice/index.js';
import { receptionOf } from './wave/reception.js';
import { referenceOhmOf } from './design/reference.js';
import { rulerSamples, SAMPLES } from './wave/rulerAt.js';
import type { SheetBody } from './sheet/sheet.js';
import type { SnagContext } from './snags/snag.js';
import { snagsOf } from './snags/index.js';
import { slackOf } from './facts/slack.js';
import { stagesOf, type Stage } from './stages/index.js';
import { cutSheets, endSheets, proofSheets, wrapSheets } from './sheet/workSheets.js';

/** What stands beside a design: what was read and done, and how this shop works. Neither is ever forgotten. */
export interface RunState {
  facts: Facts;
  practice: Practice;
  /** Frequencies of the sweep, default 201. */
  sweepPoints?: number;
}

/** Everything Kobran can say of a run. */
export interface Sheet extends SheetBody {
  stages: Stage[];
  /** The next thing to do. */
  next: { stage: StageId; text: string; at?: string };
}

/**
 * The one hallway: a design goes in, a sheet comes out.
 *
 * Pure: the same design, catalogue, facts and practice give the same sheet, in the browser, on the server and on the command line.
 * @param given a design which has passed `readDesign`
 * @returns figures along the ruler, joints, what each stage needs, problems and the next action
 * @example evaluate(design, catalog, { facts: noFacts, practice: defaultPractice }).headline
 */
export function evaluate(given: Design, cool: Catalog, state: RunState): Sheet {
  const { facts, practice, sweepPoints = 201 } = state;
  const referenceOhm = referenceOhmOf(given);
  const looks = looksOf(given, referenceOhm);
  // Where the antenna’s curve is known, its SWR is the worst of it.
  const antennaSwr = Math.max(...looks.map((look) => look.swr));
  const design = withTargetLengths({ ...given, antenna: { ...given.antenna, swr: antennaSwr } }, cool);
  const { service } = design;
  // Everything is computed for the highest ambient; what the bench should read is not.
  const catalog = catalogAt(cool, service.ambientC);
  const [lowHz, topHz] = [lowHzOf(design), topHzOf(design)];
  const receiveOnly = isReceiveOnly(design);
  const assemblies = assembliesOf(design);
  const route = routeLength(design.legs, assemblies.length === 0 ? 0 : 2 * practice.remakesPerEnd * REMAKE_M);
  const layout = layOut(design, cool, route.spans);

  const load = antennaLoad(design, referenceOhm);
  const elements = layout.elements.map(({ element }) => element);
  const over = (f: Float64Array): Response => sweep(elements, loadImpedance(load, f), f, referenceOhm);
  const atLooks = over(Float64Array.from(looks, ({ hz }) => hz));
  const swept = over(frequencies(lowHz, topHz, sweepPoints));
  const forwardW = receiveOnly ? 1 : service.powerW;
  const edges = looks.map(({ hz }) => {
    const { re, im } = loadImpedance(load, Float64Array.of(hz));
    return along(layout.elements, { re: re[0], im: im[0] }, hz, forwardW, SAMPLES, referenceOhm);
  });
  const lossDb = -atLooks.transmissionDb[looks.length - 1];
  const swr = worstSwr(atLooks.reflection, antennaSwr);
  const tube = receiveOnly ? undefined : chooseTube(service.powerW, referenceOhm, antennaSwr);

  const reception = receiveOnly ? receptionOf(service, topHz, lossDb) : undefined;

  const context: SnagContext = {
    design,
    catalog,
    facts,
    layout,
    route,
    lowHz,
    topHz,
    lossDb,
    swr,
    looks,
    edges: receiveOnly ? [] : edges,
    tube,
    practice,
    referenceOhm,
    reception,
  };
  const snags = snagsOf(context);
  const parts = {
    ends: endSheets(layout, catalog, facts, route.spans),
    cuts: cutSheets(assemblies, catalog, facts, practice, { topHz, swr }),
    proofs: proofSheets(assemblies, cool, facts, lowHz, topHz),
    wraps: wrapSheets(layout, catalog, { facts, practice, housings: design.housings ?? [] }),
    joints: layout.joints.map((joint) => jointSheet(joint, design, edges, topHz, referenceOhm, snags)),
    snags,
  };
  const [arrester] = arrestersOf(design);
  const figured: Omit<SheetBody, 'headline' | 'reason'> = {
    ...parts,
    passes: layout.joints.every(({ mating }) => mating.passes),
    receiveOnly,
    referenceOhm,
    reception,
    totalM: layout.totalM,
    topHz,
    figures: figures(layout, design, referenceOhm, catalog, lossDb, atLooks.reflection, edges, topHz),
    pieces: layout.pieces.map((placed) => pieceSheet(placed, catalog, topHz)),
    ruler: rulerSamples(edges[edges.length - 1]),
    sweep: {
      frequencyHz: swept.frequencyHz,
      returnLossDb: swept.reflection.map(returnLossDb),
      lossDb: swept.transmissionDb.map((db) => -db),
    },
    route,
    slack: slackOf(design, layout.totalM, practice, facts),
    tube,
    fittedArrester: arrester && entry(catalog.arresters, arrester.arrester),
  };
  const body: SheetBody = { ...figured, ...sentences(design, figured) };
  const stages = stagesOf({ design, facts, body });
  return { ...body, stages, next: nextOf(stages) };
}

/** What stops the work comes first, then the first stage which is not done. */
function nextOf(stages: readonly Stage[]): Sheet['next'] {
  const open = stages.find(({ state }) => state === 'snags') ?? stages.find(({ state }) => state !== 'done');
  if (!open) return { stage: 'handover', text: 'Everything is done' };
  return { stage: open.id, text: open.next, ...(open.at === undefined ? {} : { at: open.at }) };
}

/** Evenly spaced over the bands and a little beyond, Hz. */
function frequencies(lowHz: number, topHz: number, points: number): Float64Array {
  const margin = Math.max(0.05 * topHz, (topHz - lowHz) * 0.1);
  const from = Math.max(1e5, lowHz - margin);
  const step = (topHz + margin - from) / Math.max(1, points - 1);
  return Float64Array.from({ length: points }, (_, k) => from + k * step);
}

/** The line near the antenna sees at least the antenna's SWR; joints can add to it at the radio. */
const worstSwr = (reflections: Float64Array, antennaSwr: number): number =>
  Math.max(antennaSwr, ...reflections.map(swrFromReflection));
