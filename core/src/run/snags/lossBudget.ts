import { entry, type Cable } from '../../catalog/index.js';
import { matchedLossDb } from '../../line/index.js';
import { formatDecibels, formatFrequency } from '../../quantity/index.js';
import { betterCables } from '../edit/betterCables.js';
import type { Assembly } from '../design/design.js';
import { isOverBudget } from '../design/overBudget.js';
import type { Remedy } from '../design/remedy.js';
import type { MildRule } from './snag.js';

/** With an amplifier at the antenna the loss behind it hardly counts. Nominal figures, common practice. */
const amplifier: Remedy = {
  title: 'Put an amplifier at the antenna',
  detail: '20 dB gain, 1.5 dB noise figure, fed over the cable',
  changes: [
    { op: 'set service', service: { preamplifier: { noiseFigureDb: 1.5, gainDb: 20 }, dcFeed: true } },
  ],
};

/** A mismatch which costs less is not worth a sentence, dB. */
const TOLD_DB = 0.1;

/** Loss over the service's budget at the highest frequency in use. */
export const lossBudget: MildRule = ({ design, catalog, layout, topHz, lossDb, lineDb, reception }) => {
  const { lossBudgetDb } = design.service;
  // What the antenna’s mismatch costs is not charged to the cable: no cable mends it.
  const judgedDb = reception?.costs.value ?? lineDb;
  const mismatchDb = lossDb - lineDb;
  if (!isOverBudget(judgedDb, lossBudgetDb)) return [];
  const assemblies = layout.pieces
    .map(({ piece }) => piece)
    .filter((piece): piece is Assembly => piece.kind === 'assembly');
  const costs = (piece: Assembly): number =>
    matchedLossDb(entry(catalog.cables, piece.cable), topHz, piece.lengthM);
  const worst = assemblies.sort((x, y) => costs(y) - costs(x)).at(0);
  const over = judgedDb - lossBudgetDb;
  /** Cables which bring it under the budget; when none does, those which help most. */
  const lessLoss = (piece: Assembly, wantedDb: number): Remedy[] => {
    const saved = (cable: Cable): number => costs(piece) - matchedLossDb(cable, topHz, piece.lengthM);
    const enough = betterCables(piece, catalog, topHz, (cable) => saved(cable) >= wantedDb);
    return enough.length > 0
      ? enough
      : betterCables(piece, catalog, topHz, (cable) => saved(cable) >= wantedDb / 3);
  };
  return [
    {
      rule: 'loss-budget',
      of: 'run',
      level: 'caution',
      stage: 'plan',
      at: worst?.id ?? 'run',
      distanceM: layout.pieces.find(({ piece }) => piece === worst)?.fromM ?? 0,
      what: reception
        ? `Costs ${formatDecibels(judgedDb)} of signal-to-noise, budget ${formatDecibels(lossBudgetDb)}`
        : `Loses ${formatDecibels(lineDb)}, budget ${formatDecibels(lossBudgetDb)}`,
      why: worst
        ? `${worst.label} alone costs ${formatDecibels(costs(worst))} at ${formatFrequency(topHz)}.${mismatchDb > TOLD_DB ? ` The antenna’s mismatch takes ${formatDecibels(mismatchDb)} besides, which no cable mends.` : ''}`
        : `The joints alone cost ${formatDecibels(lineDb)} at ${formatFrequency(topHz)}.`,
      remedies: [
        ...(worst ? lessLoss(worst, over) : []),
        ...(reception && !reception.amplified ? [amplifier] : []),
        {
          title: `Allow ${formatDecibels(Math.ceil(judgedDb * 10) / 10)}`,
          detail: 'raises the budget of the service',
          changes: [{ op: 'set service', service: { lossBudgetDb: Math.ceil(judgedDb * 10) / 10 } }],
        },
      ],
      source: 'k1·√f + k2·f and the chain matrices of the joints',
    },
  ];
};
