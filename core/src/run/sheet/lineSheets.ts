import { entry, seriesOf, variantOf, type Catalog } from '../../catalog/index.js';
import {
  adapterElements,
  aloneDb,
  jointElements,
  matchedLossDb,
  returnLossDb,
  swrFromReflection,
  type Along,
} from '../../line/index.js';
import { matingEffect } from '../../fit/index.js';
import { figure } from '../../quantity/index.js';
import type { Design } from '../design/design.js';
import type { Layout, PlacedJoint, PlacedPiece } from '../wave/layout.js';
import type { JointSheet, PieceSheet, SheetBody } from './sheet.js';
import type { Snag } from '../snags/snag.js';

/** What the Line shows: figures of the run, its pieces and its joints. */

/** Nominal attenuation of a cable type is good to about this share. From memory. */
const ATTENUATION_TOLERANCE = 0.07;

export function figures(
  layout: Layout,
  design: Design,
  referenceOhm: number,
  catalog: Catalog,
  lossDb: number,
  reflections: Float64Array,
  edges: Along[],
  topHz: number,
): SheetBody['figures'] {
  const { powerW } = design.service;
  const matched = layout.pieces.reduce(
    (sum, { piece }) =>
      sum +
      (piece.kind === 'assembly'
        ? matchedLossDb(entry(catalog.cables, piece.cable), topHz, piece.lengthM)
        : 0),
    0,
  );
  const spread = matched * ATTENUATION_TOLERANCE + 0.02 * layout.joints.length;
  const share = 10 ** (-lossDb / 10);
  const worst = Math.max(...reflections);
  const reachingW = Math.max(1e-12, powerW) * share;
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
      'k1·√f + k2·f of the cables, nominal',
      matched * ATTENUATION_TOLERANCE,
    ),
    reaching: figure(reachingW, 'W', 'forward power less the loss', (reachingW * spread * Math.LN10) / 10),
    forward: figure(powerW, 'W', 'the transmitter’s rating into a matched load'),
    returnLoss: figure(returnLossDb(worst), 'dB', `worst at the edges of the bands, ${referenceOhm} ohm`),
    swrAtRadio: figure(
      swrFromReflection(worst),
      'ratio',
      `worst at the edges of the bands, ${referenceOhm} ohm`,
    ),
    swrAtAntenna: figure(design.antenna.swr, 'ratio', 'the antenna’s own, as entered'),
    peakVoltage: figure(
      Math.max(...edges.map(({ envelopeV }) => Math.max(...envelopeV))),
      'V',
      'envelope along the run, forward power, at the edges of the bands',
    ),
  };
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
      const loss = matchedLossDb(cable, topHz, piece.lengthM);
      return {
        ...base,
        what: cable.name,
        diameterMm: cable.jacketMm,
        loss: figure(loss, 'dB', `k1·√f + k2·f (${cable.source})`, loss * ATTENUATION_TOLERANCE),
      };
    }
    case 'adapter': {
      const adapter = entry(catalog.adapters, piece.adapter);
      const diameterMm = Math.max(...faces.map((face) => seriesOf(face).jackBodyMm));
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
        loss: figure(insertionLossDb * Math.sqrt(topHz / 1e9), 'dB', source),
      };
    }
  }
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
    echo: figure(alone.echoDb, 'dB', `this joint alone in a matched ${referenceOhm} ohm line`),
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
  Math.max(...edges.map(({ distanceM, envelopeV }) => envelopeV[nearest(distanceM, atM)] ?? 0));

/** Index of the sample nearest to a distance; distances ascend. */
function nearest(distanceM: Float64Array, atM: number): number {
  let best = 0;
  for (let k = 1; k < distanceM.length; k++)
    if (Math.abs(distanceM[k] - atM) < Math.abs(distanceM[best] - atM)) best = k;
  return best;
}
