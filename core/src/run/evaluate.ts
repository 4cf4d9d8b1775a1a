import { chooseTube } from '../ground/index.js';
import type { Catalog } from '../catalog/index.js';
import {
  along,
  loadImpedance,
  returnLossDb,
  sweep,
  swrFromReflection,
  type Response,
} from '../line/index.js';
import { routeLength } from '../route/index.js';
import { antennaLoad, withAntennaSwr } from './wave/antennaLoad.js';
import type { Assembly, Design } from './design/design.js';
import { noFacts, type Facts } from './facts/facts.js';
import { sentences } from './sheet/headline.js';
import { layOut } from './wave/layout.js';
import { figures, jointSheet, pieceSheet } from './sheet/lineSheets.js';
import { defaultPractice, REMAKE_M, type Practice } from '../practice/index.js';
import { receptionOf } from './wave/reception.js';
import { referenceOhmOf } from './design/reference.js';
import { rulerSamples, SAMPLES } from './wave/rulerAt.js';
import type { Sheet } from './sheet/sheet.js';
import type { Snag, SnagContext } from './snags/snag.js';
import { snagRules } from './snags/index.js';
import { slackOf } from './facts/slack.js';
import { stageStates } from './stages/stageStates.js';
import { cutSheets, endSheets, proofSheets, wrapSheets } from './sheet/workSheets.js';

export interface EvaluateOptions {
  facts?: Facts;
  practice?: Practice;
  /** Frequencies of the sweep, default 201. */
  sweepPoints?: number;
}

/**
 * The one hallway: a design goes in, a sheet comes out.
 *
 * Pure: the same design, catalogue and facts give the same sheet. The design must have passed `readDesign`.
 * @returns figures along the ruler, joints, what each stage needs, snags and the next action
 */
export function evaluate(given: Design, catalog: Catalog, options: EvaluateOptions = {}): Sheet {
  const { facts = noFacts, practice = defaultPractice, sweepPoints = 201 } = options;
  const design = withAntennaSwr(given, referenceOhmOf(given));
  const { service } = design;
  const lowHz = Math.min(...service.bands.map((band) => band.lowHz));
  const topHz = Math.max(...service.bands.map((band) => band.highHz));
  const assemblies = design.pieces.filter((piece): piece is Assembly => piece.kind === 'assembly');
  const route = routeLength(design.legs, assemblies.length === 0 ? 0 : 2 * practice.remakesPerEnd * REMAKE_M);
  const layout = layOut(design, catalog, route.spans);

  const referenceOhm = referenceOhmOf(design);
  const load = antennaLoad(design, referenceOhm);
  const elements = layout.elements.map(({ element }) => element);
  const over = (f: Float64Array): Response => sweep(elements, loadImpedance(load, f), f, referenceOhm);
  const atEdges = over(Float64Array.of(lowHz, topHz));
  const swept = over(frequencies(lowHz, topHz, sweepPoints));
  const forwardW = service.powerW > 0 ? service.powerW : 1;
  const edges = [lowHz, topHz].map((hz) => {
    const { re, im } = loadImpedance(load, Float64Array.of(hz));
    return along(layout.elements, { re: re[0], im: im[0] }, hz, forwardW, SAMPLES, referenceOhm);
  });
  const lossDb = -atEdges.transmissionDb[1];
  const swr = worstSwr(atEdges.reflection, design.antenna.swr);
  const tube = service.powerW > 0 ? chooseTube(service.powerW, referenceOhm, design.antenna.swr) : undefined;

  const reception = service.powerW > 0 ? undefined : receptionOf(service, topHz, lossDb);

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
    edges: service.powerW > 0 ? edges : [],
    tube,
    practice,
    referenceOhm,
    reception,
  };
  const snags = snagRules.flatMap((rule) => rule(context)).sort(byWeight);
  const parts = {
    ends: endSheets(layout, catalog, facts, route.spans),
    cuts: cutSheets(assemblies, catalog, facts, practice, topHz),
    proofs: proofSheets(assemblies, catalog, facts, lowHz, topHz),
    wraps: wrapSheets(layout, catalog, facts, practice),
    joints: layout.joints.map((joint) => jointSheet(joint, design, edges, topHz, referenceOhm, snags)),
    snags,
  };
  const stages = stageStates(design, parts, route, facts);
  const open = stages.find(({ state }) => state === 'snags') ?? stages.find(({ state }) => state !== 'done');
  const sheet: Omit<Sheet, 'headline' | 'reason'> = {
    ...parts,
    passes: layout.joints.every(({ mating }) => mating.passes),
    receiveOnly: service.powerW === 0,
    referenceOhm,
    reception,
    totalM: layout.totalM,
    topHz,
    figures: figures(layout, design, referenceOhm, catalog, lossDb, atEdges.reflection, edges, topHz),
    pieces: layout.pieces.map((placed) => pieceSheet(placed, catalog, topHz)),
    ruler: rulerSamples(edges[1]),
    sweep: {
      frequencyHz: swept.frequencyHz,
      returnLossDb: swept.reflection.map(returnLossDb),
      lossDb: swept.transmissionDb.map((db) => -db),
    },
    route,
    slack: slackOf(design, layout.totalM, practice, facts),
    tube,
    stages,
    next: open
      ? { stage: open.id, text: open.next, ...(open.at === undefined ? {} : { at: open.at }) }
      : { stage: 'handover', text: 'Everything is done' },
  };
  return { ...sheet, ...sentences(design, sheet) };
}

const weight = { stop: 0, caution: 1, note: 2 };
const byWeight = (x: Snag, y: Snag): number => weight[x.level] - weight[y.level] || x.distanceM - y.distanceM;

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
