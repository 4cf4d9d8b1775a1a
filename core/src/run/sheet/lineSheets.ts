import { entry, lossToleranceOf, seriesOf, variantOf, type Catalog } from '../../catalog/index.js';
import {
  adapterElements,
  aloneDb,
  firstFrom,
  jointEchoDb,
  jointElements,
  matchedLossDb,
  returnLossDb,
  swrFromReflection,
  type Along,
} from '../../line/index.js';
import { matingEffect } from '../../fit/index.js';
import { figure, type Figure } from '../../quantity/index.js';
import type { Assembly, Design } from '../design/design.js';
import type { Layout, PlacedJoint, PlacedPiece } from '../wave/layout.js';
import type { JointSheet, PieceSheet, SheetBody } from './sheet.js';
import type { Snag } from '../snags/snag.js';

/** What the Line shows: figures of the run, its pieces and its joints. */

export function figures(
  layout: Layout,
  design: Design,
  referenceOhm: number,
  catalog: Catalog,
  { lossDb, lineDb }: { lossDb: number; lineDb: number },
  reflections: Float64Array,
  edges: Along[],
  topHz: number,
): SheetBody['figures'] {
  const { powerW } = design.service;
  const losses = layout.pieces.flatMap(({ piece }) =>
    piece.kind === 'assembly' ? [cableLoss(piece, catalog, topHz)] : [],
  );
  const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);
  const matched = sum(losses.map(({ lossDb }) => lossDb));
  const tolerance = sum(losses.map(({ toleranceDb }) => toleranceDb));
  const spread = tolerance + 0.02 * layout.joints.length;
  const share = 10 ** (-lossDb / 10);
  const reachingW = Math.max(1e-12, powerW) * share;
  // The last look is at the highest frequency, as the loss is.
  const rho = reflections[reflections.length - 1];
  const turnedDb = -10 * Math.log10(Math.max(1e-12, 1 - rho * rho));
  const heatDb = Math.max(0, lossDb - turnedDb);
  const tunedW = Math.max(1e-12, powerW) * 10 ** (-heatDb / 10);
  return {
    length: figure(layout.totalM, 'm', 'sum of the pieces', 0.005 * Math.max(1, layout.pieces.length)),
    loss: figure(
      lossDb,
      'dB',
      'chain matrices of all pieces and joints; forward power at the radio to power in the antenna',
      spread,
    ),
    matchedLoss: figure(
      matched,
      'dB',
      `k1·√f + k2·f of the cables at ${design.service.ambientC} °C, nominal`,
      tolerance,
    ),
    lineLoss: figure(lineDb, 'dB', 'chain matrices of all pieces and joints, into a matched load', spread),
    heatLoss: figure(
      heatDb,
      'dB',
      'net power at the radio to power in the antenna, with the standing wave',
      spread,
    ),
    turnedBack: figure(turnedDb, 'dB', '−10·lg(1 − |Γ|²) at the radio, highest frequency'),
    withTuner: figure(
      tunedW,
      'W',
      'all power enters the line, a tuner’s own loss not counted',
      (tunedW * spread * Math.LN10) / 10,
    ),
    reaching: figure(reachingW, 'W', 'forward power less the loss', (reachingW * spread * Math.LN10) / 10),
    ...matchFigures(design, referenceOhm, reflections),
    peakVoltage: figure(
      Math.max(...edges.map(({ envelopeV }) => Math.max(...envelopeV))),
      'V',
      'envelope along the run, forward power, at the edges of the bands',
    ),
  };
}

/** What a transmitter and a meter at the radio see of a run. */
export function matchFigures(
  { service, antenna }: Pick<Design, 'service' | 'antenna'>,
  referenceOhm: number,
  reflections: Float64Array,
): Pick<SheetBody['figures'], 'forward' | 'returnLoss' | 'swrAtRadio' | 'swrAtAntenna'> {
  const worst = Math.max(...reflections);
  const where = `worst at the edges of the bands, ${referenceOhm} ohm`;
  return {
    forward: figure(service.powerW, 'W', 'the transmitter’s rating into a matched load'),
    returnLoss: figure(returnLossDb(worst), 'dB', where),
    swrAtRadio: figure(swrFromReflection(worst), 'ratio', where),
    swrAtAntenna: figure(antenna.swr, 'ratio', 'the antenna’s own, as entered'),
  };
}

/** What the cable of a piece loses, and how sure that is, dB. */
function cableLoss(
  { cable: id, lengthM }: Assembly,
  catalog: Catalog,
  frequencyHz: number,
): { lossDb: number; toleranceDb: number } {
  const cable = entry(catalog.cables, id);
  const lossDb = matchedLossDb(cable, frequencyHz, lengthM);
  return { lossDb, toleranceDb: lossDb * lossToleranceOf(cable) };
}

export function pieceSheet(
  { piece, name, faces, fromM, toM }: PlacedPiece,
  catalog: Catalog,
  topHz: number,
): PieceSheet {
  const base = { id: piece.id, kind: piece.kind, name, faces, fromM, toM };
  switch (piece.kind) {
    case 'assembly': {
      const cable = entry(catalog.cables, piece.cable);
      const { lossDb, toleranceDb } = cableLoss(piece, catalog, topHz);
      return {
        ...base,
        what: cable.name,
        diameterMm: cable.jacketMm,
        loss: figure(lossDb, 'dB', `k1·√f + k2·f (${cable.source})`, toleranceDb),
      };
    }
    case 'adapter': {
      const adapter = entry(catalog.adapters, piece.adapter);
      const diameterMm = Math.max(...faces.map((face) => seriesOf(face).jackBodyMm));
      const { device } = adapter;
      if (device)
        return {
          ...base,
          what: device.kind,
          diameterMm,
          loss: figure(device.lossDb, 'dB', adapter.source, DEVICE_LOSS_SHARE * device.lossDb),
        };
      const loss =
        adapter.form === 'matching pad'
          ? figure(aloneDb(adapterElements(adapter), topHz).lossDb, 'dB', 'minimum-loss pad, standard texts')
          : figure(0, 'dB', 'counted at its joints');
      return { ...base, what: adapter.form === 'straight' ? 'adapter' : adapter.form, diameterMm, loss };
    }
    case 'arrester': {
      const { insertionLossDb, source, tubeChangeable } = entry(catalog.arresters, piece.arrester);
      return {
        ...base,
        what: tubeChangeable ? `arrester, ${piece.tubeV} V tube` : 'arrester, stub',
        diameterMm: 25,
        loss: arresterLoss(insertionLossDb, topHz, source),
      };
    }
  }
}

/** Makers give a device’s loss as a limit or typically: within this share. Common practice, no source. */
const DEVICE_LOSS_SHARE = 0.3;

/** Makers print one figure; half of it either way, as sheets of one kind differ. From memory. */
function arresterLoss(at1GhzDb: number, topHz: number, source: string): Figure {
  const lossDb = at1GhzDb * Math.sqrt(topHz / 1e9);
  return figure(lossDb, 'dB', `one figure at 1 GHz scaled by √f, an estimate (${source})`, lossDb / 2);
}

export function jointSheet(
  joint: PlacedJoint,
  design: Design,
  edges: Along[],
  topHz: number,
  referenceOhm: number,
  snags: Snag[],
): JointSheet {
  const alone = aloneDb(jointElements(joint.left, joint.right), topHz, referenceOhm);
  const [left, right] = [seriesOf(joint.left), seriesOf(joint.right)];
  const weaker = left.peakVoltage <= right.peakVoltage ? left : right;
  const top = [joint.left, joint.right].map((face) => variantOf(face).maxFrequencyHz);
  return {
    id: joint.id,
    number: joint.number,
    atM: joint.atM,
    left: joint.left,
    right: joint.right,
    between: [joint.leftPiece?.name ?? design.radio.name, joint.rightPiece?.name ?? design.antenna.name],
    zone: joint.zone,
    mating: joint.mating,
    effect: matingEffect(joint.left, joint.right, topHz),
    echo: figure(
      jointEchoDb(joint.left, joint.right, topHz, referenceOhm),
      'dB',
      `this joint alone in a matched ${referenceOhm} ohm line, good parts of their series: SWR 1.3 at its top, IEC 61169, from memory`,
    ),
    loss: figure(alone.lossDb, 'dB', 'contact loss growing with √f, and its own reflection'),
    peak: figure(
      design.service.powerW > 0 ? envelopeAt(edges, joint.atM) : 0,
      'V',
      'standing-wave maximum, forward power',
    ),
    limit: figure(weaker.peakVoltage, 'V', weaker.standard),
    maxFrequency: figure(Math.min(...top), 'Hz', `${left.standard}`),
    torque: left.torque,
    standard: left === right ? left.standard : `${left.standard}; ${right.standard}`,
    snag: snags.find(({ at }) => at === joint.id)?.level,
  };
}

const envelopeAt = (edges: Along[], atM: number): number =>
  Math.max(...edges.map((edge) => edge.envelopeV[nearest(edge, atM)] ?? 0));

/** Index of the sample nearest to a distance. */
function nearest(edge: Along, atM: number): number {
  const { distanceM } = edge;
  const after = firstFrom(edge, atM);
  if (after === 0) return 0;
  return after < distanceM.length && distanceM[after] - atM < atM - distanceM[after - 1] ? after : after - 1;
}
