import prand, { type RandomGenerator } from 'pure-rand';
import {
  faceCode,
  faceInFull,
  faceOf,
  faces,
  seriesOf,
  variantOf,
  type Face,
  type FaceCode,
} from '../catalog/index.js';
import { MISSED_WEIGHT, below, shuffled } from '../chance/index.js';
import { acrossMm } from './features.js';
import { mate, type Verdict } from './mate.js';

/** One question of the trainer, made from the catalogue. */
export interface DrillQuestion {
  /** Stable for the same faces: what was missed is remembered by it. */
  id: string;
  kind: 'face' | 'verdict';
  faces: FaceCode[];
  question: string;
  options: { id: string; text: string }[];
  right: string;
  /** Shown after the answer. */
  reason: string;
}

export const verdicts: Verdict[] = ['mates', 'mates with a caution', 'no contact', 'damages', 'does not fit'];

/** How often each question was answered, and how often wrongly. */
export type DrillScore = Readonly<
  Record<string, { asked: number; missed: number; last: 'right' | 'missed' }>
>;

/** How easily two faces are taken for each other: less is easier. */
function likeness(a: Face, b: Face): number {
  return (
    Math.abs(Math.log(acrossMm(a) / acrossMm(b))) * 4 +
    (a.series === b.series ? 0 : 1) +
    (a.body === b.body ? 0 : 0.5) +
    (a.contact === b.contact ? 0 : 0.5) +
    (seriesOf(a).coupling === seriesOf(b).coupling ? 0 : 1)
  );
}

const asked = [...faces.values()].filter(({ series }) => series !== 'pair');

/** A question by what it is about: `face:n-plug`, `verdict:n-plug|uhf-jack`. */
export function drillQuestion(id: string, seed: number): DrillQuestion {
  const rng = prand.xoroshiro128plus(seed);
  const [kind, about] = id.split(':');
  return kind === 'face' ? nameIt(id, faceOf(about), rng) : judgeIt(id, about.split('|').map(faceOf));
}

function nameIt(id: string, face: Face, rng: RandomGenerator): DrillQuestion {
  const near = asked
    .filter((other) => other !== face)
    .sort((x, y) => likeness(face, x) - likeness(face, y))
    .slice(0, 5);
  const options = shuffled([face, ...shuffled(near, rng).slice(0, 3)], rng);
  return {
    id,
    kind: 'face',
    faces: [faceCode(face)],
    question: 'What is this?',
    options: options.map((one) => ({ id: faceCode(one), text: faceInFull(one) })),
    right: faceCode(face),
    reason: describe(face),
  };
}

/** What tells a face, in a sentence. */
function describe(face: Face): string {
  const series = seriesOf(face);
  const { pinMm } = variantOf(face);
  const hold = {
    thread: face.body === 'plug' ? `a nut with ${series.thread} inside` : `a ${series.thread} thread outside`,
    bayonet: face.body === 'plug' ? 'a bayonet ring with slots' : 'two lugs',
    'snap-on': face.body === 'plug' ? 'a skirt that snaps on' : 'a smooth barrel',
    'push-on': face.body === 'plug' ? 'a skirt that pushes on' : 'a smooth barrel',
    soldered: 'no coupling',
  }[series.coupling];
  return `${faceInFull(face)}: ${hold}, ${acrossMm(face)} mm across, ${face.contact === 'pin' ? `a ${pinMm} mm pin` : `a socket for a ${pinMm} mm pin`}.`;
}

function judgeIt(id: string, [a, b]: Face[]): DrillQuestion {
  const { verdict, reason } = mate(a, b);
  return {
    id,
    kind: 'verdict',
    faces: [faceCode(a), faceCode(b)],
    question: 'What happens when these two are coupled?',
    options: verdicts.map((one) => ({ id: one, text: one })),
    right: verdict,
    reason,
  };
}

/** Faces a verdict question may set against each other: of one series, or of threads that nearly agree. */
const related = (a: Face, b: Face): boolean =>
  a.series === b.series || Math.abs(seriesOf(a).threadMm - seriesOf(b).threadMm) < 0.7;

const verdictIds = asked.flatMap((a, k) =>
  asked.slice(k).flatMap((b) => (related(a, b) ? [`verdict:${faceCode(a)}|${faceCode(b)}`] : [])),
);
const byVerdict = new Map(
  verdicts.map((verdict) => [verdict, verdictIds.filter((id) => judgeIt(id, facesIn(id)).right === verdict)]),
);

function facesIn(id: string): Face[] {
  return id.slice('verdict:'.length).split('|').map(faceOf);
}

/**
 * The next question of a drill: what was missed comes back sooner, and every verdict is asked as often as the others.
 *
 * @param seed any whole number; the same seed and score give the same question
 */
export function nextDrill(kind: DrillQuestion['kind'], score: DrillScore, seed: number): DrillQuestion {
  const rng = prand.xoroshiro128plus(seed);
  const pool =
    kind === 'face'
      ? asked.map((face) => `face:${faceCode(face)}`)
      : (byVerdict.get(verdicts[below(rng, verdicts.length)]) ?? []);
  const weighted = pool.flatMap((id) =>
    Array.from({ length: score[id]?.last === 'missed' ? MISSED_WEIGHT : 1 }, () => id),
  );
  const again = Object.entries(score)
    .filter(([id, { last }]) => last === 'missed' && id.startsWith(kind))
    .map(([id]) => id);
  // Every third question goes back to one that was missed.
  const id =
    again.length > 0 && below(rng, 3) === 0
      ? again[below(rng, again.length)]
      : weighted[below(rng, weighted.length)];
  return drillQuestion(id, seed);
}

/** The score after an answer. */
export function scored(
  score: DrillScore,
  { id, right }: Pick<DrillQuestion, 'id' | 'right'>,
  answer: string,
): DrillScore {
  const before = id in score ? score[id] : { asked: 0, missed: 0 };
  const wrong = answer !== right;
  return {
    ...score,
    [id]: {
      asked: before.asked + 1,
      missed: before.missed + Number(wrong),
      last: wrong ? 'missed' : 'right',
    },
  };
}
