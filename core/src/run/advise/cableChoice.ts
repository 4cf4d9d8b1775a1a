import { entry, lossToleranceOf, type Cable, type Catalog } from '../../catalog/index.js';
import { looksOf } from '../wave/looks.js';
import {
  AVERAGE_POWER_SPREAD,
  averagePowerW,
  cableCutoffHz,
  catalogAt,
  matchedLossDb,
} from '../../line/index.js';
import { figure, formatDecibels, formatFrequency, formatPower, type Figure } from '../../quantity/index.js';
import { inCable } from '../edit/betterCables.js';
import { hottestC } from '../design/hottest.js';
import type { Assembly, Design, Leg } from '../design/design.js';
import { isOverBudget } from '../design/overBudget.js';
import type { Sheet } from '../evaluate.js';
import { receptionOf } from '../wave/reception.js';
import { jacketComplaint } from '../snags/jacket.js';

export type CableMark = 'cheapest adequate' | 'thinnest adequate' | 'lowest loss' | 'best value';

/** Why a cable does not do, by kind: what no budget mends is hard. */
export interface Objection {
  kind: 'parts' | 'impedance' | 'second mode' | 'budget' | 'power' | 'jacket' | 'bend' | 'flexing';
  text: string;
}

/** One cable weighed for one assembly of a run. */
export interface CableRow {
  cable: Cable;
  /** The piece in this cable; nothing when no parts with its faces fit it. */
  changed: Assembly | undefined;
  /** Loss of the whole run with it at the highest frequency. */
  loss: Figure;
  /** Power in the antenna, W; receive only: signal-to-noise lost in the cable, dB. */
  left: Figure;
  /** Average power it bears over what the run asks; nothing when receiving. */
  margin: Figure | undefined;
  mass: Figure;
  bendMm: number;
  costs: number | undefined;
  /** Why not. */
  against: Objection[];
  adequate: boolean;
  marks: CableMark[];
}

export interface CableChoice {
  piece: Assembly;
  rows: CableRow[];
  /** What “cheapest” goes by: the shop’s prices where every adequate cable has one, else the diameter. */
  basis: 'price' | 'diameter';
}

/**
 * All cables of the catalogue side by side for one assembly: what each would do, and what speaks against it.
 *
 * The best value is the adequate-or-not frontier’s point farthest from the chord between its thinnest (cheapest) and its best end,
 * both axes brought to 0..1: beyond it money buys little.
 * @param sheet the run as it is now, from `evaluate`
 */
export function cableChoice(design: Design, piece: Assembly, sheet: Sheet, cool: Catalog): CableChoice {
  // As warm as the sheet was computed for.
  const catalog = catalogAt(cool, design.service.ambientC);
  const rows = [...catalog.cables.values()]
    .map((cable) => weigh(design, piece, cable, sheet, catalog))
    .sort((x, y) => x.cable.jacketMm - y.cable.jacketMm || y.loss.value - x.loss.value);
  const adequate = rows.filter((row) => row.adequate);
  const priced = adequate.length > 0 && adequate.every(({ costs }) => costs !== undefined);
  const price = ({ costs, cable }: CableRow): number => (priced ? (costs ?? Infinity) : cable.jacketMm);
  const mark = (row: CableRow | undefined, what: CableMark): void => void row?.marks.push(what);
  const least = (by: (row: CableRow) => number): CableRow | undefined =>
    adequate.toSorted((x, y) => by(x) - by(y)).at(0);
  mark(
    least((row) => price(row) + row.loss.value * 1e-6),
    priced ? 'cheapest adequate' : 'thinnest adequate',
  );
  mark(
    least((row) => row.loss.value),
    'lowest loss',
  );
  mark(
    bestValue(
      rows.filter(({ against }) => against.every(({ kind }) => kind === 'budget')),
      price,
    ),
    'best value',
  );
  return { piece, rows, basis: priced ? 'price' : 'diameter' };
}

const objection = (kind: Objection['kind'], text: string): Objection => ({ kind, text });

function weigh(design: Design, piece: Assembly, cable: Cable, sheet: Sheet, catalog: Catalog): CableRow {
  const { service } = design;
  const now = entry(catalog.cables, piece.cable);
  const own = matchedLossDb(cable, sheet.topHz, piece.lengthM);
  const lossDb = sheet.figures.loss.value - matchedLossDb(now, sheet.topHz, piece.lengthM) + own;
  const receive = service.powerW === 0;
  const snr = receptionOf(service, sheet.topHz, lossDb).costs;
  const averageW = service.powerW * service.duty;
  const placed = sheet.pieces.find(({ id }) => id === piece.id);
  const ambientC = hottestC(design, sheet.route.spans, placed?.fromM ?? 0, placed?.toM ?? 0);
  const limitW = Math.min(
    ...looksOf(design, sheet.referenceOhm).map(({ hz, swr }) => averagePowerW(cable, hz, ambientC, swr)),
  );
  const changed = inCable(piece, cable, catalog);
  const budgetDb = service.lossBudgetDb;
  const judgedDb = receive ? snr.value : lossDb;
  const crossed = legsOf(design, piece, sheet);
  const against: Objection[] = [
    ...(changed ? [] : [objection('parts', 'no connector parts of these series fit it')]),
    ...impedanceAgainst(cable, sheet.referenceOhm, receive),
    ...secondModeAgainst(cable, sheet.topHz),
    ...(isOverBudget(judgedDb, budgetDb)
      ? [
          objection(
            'budget',
            `loses ${formatDecibels(judgedDb)}${receive ? ' of signal-to-noise' : ''}, budget ${formatDecibels(budgetDb)}`,
          ),
        ]
      : []),
    ...(receive ? [] : heatAgainst(averageW, limitW)),
    ...placesAgainst(cable, crossed),
  ];
  const plusMinus = own * lossToleranceOf(cable);
  const arrivesW = service.powerW * 10 ** (-lossDb / 10);
  return {
    cable,
    changed,
    loss: figure(
      lossDb,
      'dB',
      `the run’s loss with k1·√f + k2·f of ${cable.name} (${cable.source})`,
      plusMinus,
    ),
    left: receive
      ? snr
      : figure(arrivesW, 'W', 'forward power less the loss', (arrivesW * plusMinus * Math.LN10) / 10),
    margin: receive
      ? undefined
      : figure(
          limitW / Math.max(averageW, 1e-9),
          'times',
          `heat balance of centre, dielectric and jacket at ambient, within ${Math.round(AVERAGE_POWER_SPREAD * 100)} %`,
        ),
    mass: figure((cable.massKgPerKm * piece.lengthM) / 1000, 'kg', cable.source),
    bendMm: cable.bendOnceMm,
    costs: cable.costPerM === undefined ? undefined : cable.costPerM * piece.lengthM,
    against,
    adequate: against.length === 0,
    marks: [],
  };
}

const secondModeAgainst = (cable: Cable, topHz: number): Objection[] => {
  const cutoffHz = cableCutoffHz(cable);
  return topHz < cutoffHz
    ? []
    : [
        objection(
          'second mode',
          `carries a second mode from ${formatFrequency(cutoffHz)}: too thick for ${formatFrequency(topHz)}`,
        ),
      ];
};

const heatAgainst = (averageW: number, limitW: number): Objection[] =>
  averageW <= limitW * (1 - AVERAGE_POWER_SPREAD)
    ? []
    : [
        objection(
          'power',
          `handles about ${formatPower(limitW)} on average, within ${Math.round(AVERAGE_POWER_SPREAD * 100)} %; the run asks ${formatPower(averageW)}`,
        ),
      ];

const impedanceAgainst = ({ impedanceOhm }: Cable, referenceOhm: number, receive: boolean): Objection[] =>
  impedanceOhm === referenceOhm || (receive && impedanceOhm === 75)
    ? []
    : [objection('impedance', `${impedanceOhm} ohm in a ${referenceOhm} ohm run`)];

/** The legs an assembly lies in. */
function legsOf({ legs }: Design, { id }: Assembly, { pieces, route }: Sheet): Leg[] {
  const placed = pieces.find((piece) => piece.id === id);
  if (!placed) return [];
  return route.spans
    .filter((span) => span.fromM < placed.toM && span.toM > placed.fromM)
    .map((span) => legs[span.leg]);
}

function placesAgainst(cable: Cable, legs: readonly Leg[]): Objection[] {
  return legs.flatMap((leg) => {
    const flexes = leg.kind === 'rotator loop';
    const leastMm = flexes ? cable.bendRepeatedMm : cable.bendOnceMm;
    const bent = leg.bendRadiusMm !== undefined && leg.bendRadiusMm < leastMm;
    const jacket = jacketComplaint(cable, leg);
    return [
      ...(jacket ? [objection('jacket', `${leg.name}: ${jacket.why}`)] : []),
      ...(bent
        ? [objection('bend', `${leg.name} bends to ${leg.bendRadiusMm} mm, it takes ${leastMm} mm`)]
        : []),
      ...(flexes && cable.centreKind === 'solid'
        ? [objection('flexing', `${leg.name} flexes a solid centre`)]
        : []),
    ];
  });
}

/** The point of the frontier farthest from the chord between its ends. */
function bestValue(rows: readonly CableRow[], price: (row: CableRow) => number): CableRow | undefined {
  const front: CableRow[] = [];
  for (const row of rows.toSorted((x, y) => price(x) - price(y) || x.loss.value - y.loss.value)) {
    const last = front.at(-1);
    if (!last || row.loss.value < last.loss.value) front.push(row);
  }
  const [first, last] = [front.at(0), front.at(-1)];
  if (!first || !last || front.length < 3) return undefined;
  const spanPrice = price(last) - price(first);
  const spanLoss = first.loss.value - last.loss.value;
  const below = (row: CableRow): number =>
    1 - (price(row) - price(first)) / spanPrice - (row.loss.value - last.loss.value) / spanLoss;
  const best = front.toSorted((x, y) => below(y) - below(x))[0];
  return below(best) > 0 ? best : undefined;
}
