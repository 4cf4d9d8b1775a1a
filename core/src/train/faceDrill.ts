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
import { below, shuffled } from '../chance/index.js';
import { acrossMm, mate, type Verdict } from '../fit/index.js';
import { drawn, isMissed, type DrillScore, type Question } from './question.js';
import type { DrillSetting } from './setting.js';

export const faceDrills = ['face', 'verdict'] as const;
export type FaceDrill = (typeof faceDrills)[number];

/** One question about connectors: which one this is, or what happens when two are coupled. */
export interface FaceQuestion extends Question {
  kind: FaceDrill;
  faces: FaceCode[];
}

export const verdicts: Verdict[] = ['mates', 'mates with a caution', 'no contact', 'damages', 'does not fit'];

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
export function faceQuestion(id: string, seed: number): FaceQuestion {
  const rng = prand.xoroshiro128plus(seed);
  const [kind, about] = id.split(':');
  return kind === 'face' ? nameIt(id, faceOf(about), rng) : judgeIt(id, about.split('|').map(faceOf));
}

function nameIt(id: string, face: Face, rng: RandomGenerator): FaceQuestion {
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
    reason: () => describe(face),
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

function judgeIt(id: string, [a, b]: Face[]): FaceQuestion {
  const { verdict, reason } = mate(a, b);
  return {
    id,
    kind: 'verdict',
    faces: [faceCode(a), faceCode(b)],
    question: 'What happens when these two are coupled?',
    options: verdicts.map((one) => ({ id: one, text: one })),
    right: verdict,
    reason: () => reason,
  };
}

/** Faces a verdict question may set against each other: of one series, or of threads that nearly agree. */
const related = (a: Face, b: Face): boolean =>
  a.series === b.series || Math.abs(seriesOf(a).threadMm - seriesOf(b).threadMm) < 0.7;

const facesIn = (id: string): Face[] => id.slice('verdict:'.length).split('|').map(faceOf);

/** Every pair worth asking of, by the verdict on it. */
const byVerdict = new Map<Verdict, string[]>(verdicts.map((verdict) => [verdict, []]));
for (const [k, a] of asked.entries())
  for (const b of asked.slice(k))
    if (related(a, b)) byVerdict.get(mate(a, b).verdict)?.push(`verdict:${faceCode(a)}|${faceCode(b)}`);

/**
 * The next question about connectors: what was missed comes back sooner, and every verdict is asked as often as the others.
 *
 * Of a pair, at least one is among the connectors asked about.
 * @param seed any whole number; the same seed, setting and score give the same question
 */
export function nextFace(
  kind: FaceDrill,
  { subjects: { faces: of } }: DrillSetting,
  score: DrillScore,
  seed: number,
): FaceQuestion {
  const rng = prand.xoroshiro128plus(seed);
  const pool =
    kind === 'face'
      ? asked.map(faceCode).flatMap((code) => (of.has(code) ? [`face:${code}`] : []))
      : verdictPool(of, rng);
  // Every third question goes back to one that was missed.
  const again = Object.keys(score).filter((id) => id.startsWith(`${kind}:`) && isMissed(score, id));
  const id =
    again.length > 0 && below(rng, 3) === 0 ? again[below(rng, again.length)] : drawn(pool, score, rng);
  return faceQuestion(id, seed);
}

/** Pairs of one verdict, drawn among the verdicts which these connectors can meet. */
function verdictPool(of: ReadonlySet<FaceCode>, rng: RandomGenerator): string[] {
  const pools = [...byVerdict.values()]
    .map((ids) => ids.filter((id) => facesIn(id).some((face) => of.has(faceCode(face)))))
    .filter((ids) => ids.length > 0);
  return pools[below(rng, pools.length)];
}
