import { entry, type Catalog } from '../catalog/index.js';
import { returnLossDb } from '../line/index.js';
import type { Design } from './design/design.js';
import { arrestersOf, assembliesOf, isReceiveOnly } from './design/lookups.js';
import type { StageId } from './design/stageId.js';
import { slackOf } from './facts/slack.js';
import { harmlessOnly } from './harmlessOnly.js';
import type { RunState } from './runState.js';
import { seenOf } from './seen.js';
import { siteOwnsLegs } from './siteOwnsLegs.js';
import { sentences } from './sheet/headline.js';
import { figures, jointSheet, pieceSheet } from './sheet/lineSheets.js';
import type { SheetBody } from './sheet/sheet.js';
import { cutSheets, endSheets } from './work/workSheets.js';
import { snagsOf, stopCounts, stopsOf } from './snags/index.js';
import { stagesOf, type Stage } from './stages/index.js';
import { rulerSamples } from './wave/rulerAt.js';

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
  const { context, over, ...seen } = seenOf(given, cool, state);
  const [atLooks, edges] = [seen.atLooks(), seen.edges()];
  const { design, catalog, layout, route, topHz, lowHz, lossDb, lineDb, swr, tube, referenceOhm, reception } =
    context;
  const assemblies = assembliesOf(design);
  const receiveOnly = isReceiveOnly(design);
  const swept = over(frequencies(lowHz, topHz, sweepPoints));
  const found = siteOwnsLegs(snagsOf(context), given);
  const snags = harmlessOnly(found, given, stopCounts(found), (changed) =>
    stopsOf(seenOf(changed, cool, state).context),
  );
  const parts = {
    ends: endSheets(layout, catalog, facts, { legs: design.legs, spans: route.spans }),
    cuts: cutSheets(assemblies, catalog, facts, practice, { topHz, swr }),
    proofs: [...context.proofs],
    runProofs: context.runProofs,
    wraps: [...context.wraps],
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
    figures: figures(
      layout,
      design,
      referenceOhm,
      catalog,
      { lossDb, lineDb },
      atLooks.reflection,
      edges,
      topHz,
    ),
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
  const body: SheetBody = { ...figured, ...sentences(design, figured, practice) };
  const stages = stagesOf({ design, written: given, facts, practice, body });
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
