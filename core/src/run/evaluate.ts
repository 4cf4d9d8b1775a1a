import { chooseTube } from '../bond/index.js';
import { entry, seriesById, type Catalog } from '../catalog/index.js';
import { cutSheet } from '../cut/index.js';
import { along, matchedLossDb, returnLossDb, sweep, swrFromReflection, type Along, type Complex } from '../line/index.js';
import { stripGauge } from '../make/index.js';
import { expectations, judge } from '../prove/index.js';
import { figure, formatDecibels, formatFrequency, formatPower } from '../quantity/index.js';
import { routeLength } from '../route/index.js';
import type { Assembly, Design } from './design.js';
import { latestReading, logged, noFacts, readingValue, type Facts } from './facts.js';
import { jointProfile, jointWrap } from './jointWrap.js';
import { jointElements, layOut, type Layout, type PlacedJoint, type PlacedPiece } from './layout.js';
import { defaultPractice, REMAKE_M, type Practice } from './practice.js';
import type { EndSheet, JointSheet, PieceSheet, ProofSheet, Sheet, WrapSheet } from './sheet.js';
import type { Snag, SnagContext } from './snag.js';
import { snagRules } from './snags/index.js';
import { stageStates } from './stageStates.js';

export interface EvaluateOptions {
  facts?: Facts;
  practice?: Practice;
  /** Frequencies of the sweep, default 201. */
  sweepPoints?: number;
}

const REFERENCE_OHM = 50;
/** Nominal attenuation of a cable type is good to about this share. From memory. */
const ATTENUATION_TOLERANCE = 0.07;

/**
 * The one hallway: a design goes in, a sheet comes out.
 *
 * Pure: the same design, catalogue and facts give the same sheet. The design must have passed `readDesign`.
 * @returns figures along the ruler, joints, what each stage needs, snags and the next action
 */
export function evaluate(design: Design, catalog: Catalog, options: EvaluateOptions = {}): Sheet {
  const { facts = noFacts, practice = defaultPractice, sweepPoints = 201 } = options;
  const { service } = design;
  const lowHz = Math.min(...service.bands.map((band) => band.lowHz));
  const topHz = Math.max(...service.bands.map((band) => band.highHz));
  const assemblies = design.pieces.filter((piece): piece is Assembly => piece.kind === 'assembly');
  const route = routeLength(design.legs, assemblies.length === 0 ? 0 : 2 * practice.remakesPerEnd * REMAKE_M);
  const layout = layOut(design, catalog, route.spans);

  const load: Complex = { re: REFERENCE_OHM * design.antenna.swr, im: 0 };
  const elements = layout.elements.map(({ element }) => element);
  const atEdges = sweep(elements, load, new Float64Array([lowHz, topHz]));
  const swept = sweep(elements, load, frequencies(lowHz, topHz, sweepPoints));
  const forwardW = service.powerW > 0 ? service.powerW : 1;
  const edges = [lowHz, topHz].map((hz) => along(layout.elements, load, hz, forwardW));
  const lossDb = -atEdges.transmissionDb[1];
  const swr = worstSwr(atEdges.reflection, design.antenna.swr);
  const tube = service.powerW > 0 ? chooseTube(service.powerW, REFERENCE_OHM, design.antenna.swr) : undefined;

  const context: SnagContext = { design, catalog, facts, layout, route, lowHz, topHz, lossDb, swr, edges: service.powerW > 0 ? edges : [], tube };
  const snags = snagRules.flatMap((rule) => rule(context)).sort(byWeight);
  const parts = {
    ends: endSheets(layout, catalog, facts),
    cuts: cutSheets(assemblies, catalog, facts, practice, topHz),
    proofs: proofSheets(assemblies, catalog, facts, lowHz, topHz),
    wraps: wrapSheets(layout, catalog, facts, practice),
    joints: layout.joints.map((joint) => jointSheet(joint, design, edges, topHz, snags)),
    snags,
  };
  const stages = stageStates(design, parts, route, facts);
  const open = stages.find(({ state }) => state === 'snags') ?? stages.find(({ state }) => state !== 'done');
  const sheet: Omit<Sheet, 'headline' | 'reason'> = {
    ...parts,
    passes: layout.joints.every(({ mating }) => mating.passes),
    receiveOnly: service.powerW === 0,
    totalM: layout.totalM,
    topHz,
    figures: figures(layout, design, catalog, lossDb, atEdges.reflection, edges, topHz),
    pieces: layout.pieces.map((placed) => pieceSheet(placed, catalog, topHz)),
    ruler: rulerSamples(edges[1]),
    sweep: {
      frequencyHz: swept.frequencyHz,
      returnLossDb: swept.reflection.map(returnLossDb),
      lossDb: swept.transmissionDb.map((db) => -db),
    },
    route,
    tube,
    stages,
    next: open ? { stage: open.id, text: open.next, ...(open.at === undefined ? {} : { at: open.at }) } : { stage: 'handover', text: 'Everything is done' },
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
const worstSwr = (reflections: Float64Array, antennaSwr: number): number => Math.max(antennaSwr, ...reflections.map(swrFromReflection));

function figures(layout: Layout, design: Design, catalog: Catalog, lossDb: number, reflections: Float64Array, edges: Along[], topHz: number): Sheet['figures'] {
  const { powerW } = design.service;
  const matched = layout.pieces.reduce((sum, { piece }) => sum + (piece.kind === 'assembly' ? matchedLossDb(entry(catalog.cables, piece.cable), topHz, piece.lengthM) : 0), 0);
  const spread = matched * ATTENUATION_TOLERANCE + 0.02 * layout.joints.length;
  const share = 10 ** (-lossDb / 10);
  const worst = Math.max(...reflections);
  const reachingW = Math.max(1e-12, powerW) * share;
  return {
    length: figure(layout.totalM, 'm', 'sum of the pieces', 0.005 * Math.max(1, layout.pieces.length)),
    loss: figure(lossDb, 'dB', 'chain matrices of all pieces and joints; forward power at the radio to power in the antenna', spread),
    matchedLoss: figure(matched, 'dB', 'k1·√f + k2·f of the cables, nominal', matched * ATTENUATION_TOLERANCE),
    reaching: figure(reachingW, 'W', 'forward power less the loss', (reachingW * spread * Math.LN10) / 10),
    forward: figure(powerW, 'W', 'the transmitter’s rating into a matched load'),
    returnLoss: figure(returnLossDb(worst), 'dB', 'worst at the edges of the bands, 50 ohm'),
    swrAtRadio: figure(swrFromReflection(worst), 'ratio', 'worst at the edges of the bands, 50 ohm'),
    swrAtAntenna: figure(design.antenna.swr, 'ratio', 'the antenna’s own, as entered'),
    peakVoltage: figure(Math.max(...edges.map(({ envelopeV }) => Math.max(...envelopeV))), 'V', 'envelope along the run, forward power, at the edges of the bands'),
  };
}

/** The answer in a sentence, and what it rests on. */
function sentences(design: Design, { passes, joints, figures: f, receiveOnly, topHz, snags }: Omit<Sheet, 'headline' | 'reason'>): Pick<Sheet, 'headline' | 'reason'> {
  const hz = formatFrequency(topHz);
  const percent = Math.round(10 ** (-f.loss.value / 10) * 100);
  const arrives = receiveOnly ? `${percent} % of the signal reaches the receiver at ${hz}` : `${formatPower(f.reaching.value)} of ${formatPower(f.forward.value)} reaches the antenna at ${hz}`;
  const budget = `Loses ${formatDecibels(f.loss.value)} (budget ${formatDecibels(design.service.lossBudgetDb)}). Return loss ${formatDecibels(f.returnLoss.value)} at the radio, SWR ${f.swrAtRadio.value.toFixed(2)}.`;
  if (!passes) {
    const blocked = joints.filter(({ mating }) => !mating.passes).map(({ number }) => `J${number}`);
    const mended = receiveOnly ? `${percent} % of the signal would arrive` : `${formatPower(f.reaching.value)} of ${formatPower(f.forward.value)} would arrive`;
    return { headline: `Nothing reaches the ${receiveOnly ? 'receiver' : 'antenna'}: ${blocked.join(', ')} ${blocked.length === 1 ? 'passes' : 'pass'} no signal`, reason: `Mended, ${mended} at ${hz}. ${budget}` };
  }
  const stops = snags.filter(({ level, stage }) => level === 'stop' && stage !== 'prove').length;
  return { headline: arrives, reason: stops > 0 ? `${budget} ${stops} ${stops === 1 ? 'thing stops' : 'things stop'} it from being built as drawn.` : budget };
}

function pieceSheet({ piece, name, faces, fromM, toM }: PlacedPiece, catalog: Catalog, topHz: number): PieceSheet {
  const base = { id: piece.id, kind: piece.kind, name, faces, fromM, toM };
  switch (piece.kind) {
    case 'assembly': {
      const cable = entry(catalog.cables, piece.cable);
      const loss = matchedLossDb(cable, topHz, piece.lengthM);
      return { ...base, what: cable.name, diameterMm: cable.jacketMm, loss: figure(loss, 'dB', `k1·√f + k2·f (${cable.source})`, loss * ATTENUATION_TOLERANCE) };
    }
    case 'adapter':
      return { ...base, what: 'adapter', diameterMm: 16, loss: figure(0, 'dB', 'counted at its joints') };
    case 'arrester': {
      const { insertionLossDb, source } = entry(catalog.arresters, piece.arrester);
      return { ...base, what: `arrester, ${piece.tubeV} V tube`, diameterMm: 25, loss: figure(insertionLossDb * Math.sqrt(topHz / 1e9), 'dB', source) };
    }
  }
}

function jointSheet(joint: PlacedJoint, design: Design, edges: Along[], topHz: number, snags: Snag[]): JointSheet {
  const alone = sweep(jointElements(joint).map(({ element }) => element), { re: REFERENCE_OHM, im: 0 }, new Float64Array([topHz]));
  const [left, right] = [seriesById[joint.left.series], seriesById[joint.right.series]];
  const weaker = left.peakVoltage <= right.peakVoltage ? left : right;
  const top = [joint.left, joint.right].map((face) => seriesById[face.series].variants.find((v) => v.impedanceOhm === face.impedanceOhm)?.maxFrequencyHz ?? 0);
  return {
    id: joint.id,
    number: joint.number,
    atM: joint.atM,
    left: joint.left,
    right: joint.right,
    between: [joint.leftPiece?.name ?? design.radio.name, joint.rightPiece?.name ?? design.antenna.name],
    zone: joint.zone,
    mating: joint.mating,
    echo: figure(returnLossDb(alone.reflection[0]), 'dB', 'this joint alone in a matched 50 ohm line'),
    loss: figure(-alone.transmissionDb[0], 'dB', 'contact loss growing with √f, and its own reflection'),
    peak: figure(design.service.powerW > 0 ? envelopeAt(edges, joint.atM) : 0, 'V', 'standing-wave maximum, forward power'),
    limit: figure(weaker.peakVoltage, 'V', weaker.standard),
    maxFrequency: figure(Math.min(...top), 'Hz', `${left.standard}`),
    torque: left.torqueSaid,
    standard: left === right ? left.standard : `${left.standard}; ${right.standard}`,
    snag: snags.find(({ at }) => at === joint.id)?.level,
  };
}

const envelopeAt = (edges: Along[], atM: number): number =>
  Math.max(...edges.map(({ distanceM, envelopeV }) => envelopeV[nearest(distanceM, atM)] ?? 0));

/** Index of the sample nearest to a distance; distances ascend. */
function nearest(distanceM: Float64Array, atM: number): number {
  let best = 0;
  for (let k = 1; k < distanceM.length; k++) if (Math.abs(distanceM[k] - atM) < Math.abs(distanceM[best] - atM)) best = k;
  return best;
}

const rulerSamples = ({ frequencyHz, distanceM, netW, peakV, envelopeV }: Along): Sheet['ruler'] => ({ frequencyHz, distanceM, netW, peakV, envelopeV });

function endSheets(layout: Layout, catalog: Catalog, facts: Facts): EndSheet[] {
  return layout.pieces.flatMap(({ piece, fromM, toM }) => {
    if (piece.kind !== 'assembly') return [];
    const cable = entry(catalog.cables, piece.cable);
    return (['a', 'b'] as const).map((end): EndSheet => {
      const id = `${piece.id}.${end}`;
      const part = entry(catalog.parts, piece[end].part);
      return {
        id,
        pieceId: piece.id,
        end,
        name: `${piece.label}, ${end === 'a' ? 'radio' : 'antenna'} end`,
        atM: end === 'a' ? fromM : toM,
        part,
        cable,
        gauge: stripGauge(part, cable),
        made: logged(facts, 'end made', id),
        failures: facts.log.filter(({ kind, about }) => kind === 'end failed' && about === id).length,
      };
    });
  });
}

function cutSheets(assemblies: Assembly[], catalog: Catalog, facts: Facts, practice: Practice, frequencyHz: number): Sheet['cuts'] {
  return assemblies.map((piece) => {
    const cable = entry(catalog.cables, piece.cable);
    const bothMade = (['a', 'b'] as const).every((end) => logged(facts, 'end made', `${piece.id}.${end}`));
    const sheet = cutSheet({
      cable,
      ends: [entry(catalog.parts, piece.a.part), entry(catalog.parts, piece.b.part)],
      lengthM: piece.lengthM,
      ...(piece.target ? { target: piece.target } : {}),
      school: practice.cutSchool,
      frequencyHz,
    });
    return { ...sheet, pieceId: piece.id, name: piece.label, cable, done: bothMade || logged(facts, 'cut', piece.id) };
  });
}

function proofSheets(assemblies: Assembly[], catalog: Catalog, facts: Facts, lowHz: number, topHz: number): ProofSheet[] {
  const frequenciesHz = [...new Set([lowHz, topHz])];
  return assemblies.map((piece) => ({
    pieceId: piece.id,
    name: piece.label,
    expectations: expectations(entry(catalog.cables, piece.cable), piece.lengthM, frequenciesHz).map((expectation) => {
      const reading = latestReading(facts, piece.id, expectation.id);
      return reading ? { ...expectation, reading, judgement: judge(expectation, readingValue(reading)) } : expectation;
    }),
  }));
}

function wrapSheets(layout: Layout, catalog: Catalog, facts: Facts, practice: Practice): WrapSheet[] {
  return layout.joints.flatMap((joint) => {
    const wrap = jointWrap(joint, catalog, practice);
    if (!wrap) return [];
    const between: [string, string] = [joint.leftPiece?.name ?? 'radio', joint.rightPiece?.name ?? 'antenna'];
    return [{ jointId: joint.id, number: joint.number, between, zone: joint.zone, profile: jointProfile(joint, catalog), wrap, sealed: logged(facts, 'sealed', joint.id) }];
  });
}
