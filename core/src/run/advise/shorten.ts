import { entry, type Catalog } from '../../catalog/index.js';
import { electricalDegrees } from '../../cut/index.js';
import { SPEED_OF_LIGHT, matchedLossDb } from '../../line/index.js';
import { figure, type Figure } from '../../quantity/index.js';
import { applyChange, type Change } from '../design/change.js';
import type { Assembly, Design } from '../design/design.js';
import { assemblyOf, topHzOf } from '../design/lookups.js';
import type { Facts } from '../facts/kinds.js';
import { layOut } from '../wave/layout.js';
import type { Practice } from '../../practice/index.js';
import { slackOf, type Slack } from '../facts/slack.js';

/** Shorter than this is no assembly any more, m; as `Assembly.lengthM` demands. */
const SHORTEST_M = 0.02;

/** A piece and its run, as they are. */
interface Standing {
  length: Figure;
  /** At the highest frequency in use. */
  degrees: Figure;
  /** Electrical length as time. */
  delayNs: number;
  loss: Figure;
  slack: Slack | undefined;
}

/** What cutting a piece shorter does to it and to its run. */
export interface Shortened {
  before: Standing;
  /** Nothing when no cable would be left. */
  after: Standing | undefined;
  /** The design with the shorter piece; none when nothing is lost or nothing would be left. */
  change: Change | undefined;
  /** In words: does it still reach, and does length matter here? */
  verdict: { level: 'fine' | 'caution' | 'stop'; text: string };
}

/** What is cut off which assembly, finished length, m, 0 or more. */
export interface Loss {
  pieceId: string;
  lostM: number;
}

/**
 * Cuts `lostM` off a piece: length, phase, loss and reach before and after.
 *
 * @throws when the design has no such assembly
 * Phase: β·length with the data sheet's velocity factor; loss: k1·√f + k2·f.
 */
export function shorten(
  design: Design,
  catalog: Catalog,
  { pieceId, lostM }: Loss,
  { facts, practice }: { facts: Facts; practice: Practice },
): Shortened {
  const piece = assemblyOf(design, pieceId);
  const cable = entry(catalog.cables, piece.cable);
  const topHz = topHzOf(design);
  const standing = (of: Assembly, within: Design): Standing => ({
    length: figure(of.lengthM, 'm', 'the design', 0.005),
    degrees: figure(
      electricalDegrees(of.lengthM, topHz, cable.velocityFactor),
      'deg',
      `β·length of ${cable.name}, data sheet’s velocity factor`,
    ),
    delayNs: (of.lengthM / (cable.velocityFactor * SPEED_OF_LIGHT)) * 1e9,
    loss: figure(matchedLossDb(cable, topHz, of.lengthM), 'dB', `k1·√f + k2·f of ${cable.name}`),
    slack: slackOf(within, layOut(within, catalog, []).totalM, practice, facts),
  });
  const before = standing(piece, design);
  const lengthM = Math.round((piece.lengthM - lostM) * 1e6) / 1e6;
  if (lengthM < SHORTEST_M)
    return {
      before,
      after: undefined,
      change: undefined,
      verdict: { level: 'stop', text: 'Nothing would be left of this cable: a new one is needed.' },
    };
  const shorter: Assembly = { ...piece, lengthM };
  const change: Change = { op: 'set piece', piece: shorter };
  const after = standing(shorter, applyChange(design, change));
  return {
    before,
    after,
    change: lostM > 0 ? change : undefined,
    verdict: verdictOf(piece, before, after),
  };
}

const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);

function verdictOf(piece: Assembly, before: Standing, { slack, degrees }: Standing): Shortened['verdict'] {
  const moved = before.degrees.value - degrees.value;
  if (piece.target && moved > 0)
    return {
      level: 'stop',
      text: `This piece is cut to electrical length, and this end takes ${moved.toFixed(1)}° off it: measure the piece again, and cut a new one if it is below its target.`,
    };
  if (!slack) return { level: 'fine', text: 'No legs are entered, so nothing says how far it has to reach.' };
  if (slack.spareM >= 0)
    return slack.remakes > 0
      ? {
          level: 'fine',
          text: `It still reaches; the slack is enough to re-terminate ${times(slack.remakes)} more.`,
        }
      : { level: 'caution', text: 'It just reaches: no spare is left for re-terminating.' };
  if (slack.remakesWithLoops > 0)
    return {
      level: 'caution',
      text: `It reaches only by giving up loops: with them it can be re-terminated ${times(slack.remakesWithLoops)} more.`,
    };
  return {
    level: 'stop',
    text: 'It does not reach any more: a new cable, or a joint where it can be kept dry.',
  };
}
