import { faceCode, faces, type Face, type FaceCode } from '../catalog/index.js';
import { features, type Feature } from './features.js';

/** What somebody has answered so far; `unsure` tells nothing and is not asked again. */
export interface GivenAnswer {
  feature: string;
  answer: string;
}

export const UNSURE = 'unsure';

export interface Candidate {
  face: Face;
  code: FaceCode;
  /** 0..1, all candidates together 1. */
  probability: number;
}

export interface Identification {
  /** Most likely first. */
  candidates: Candidate[];
  /** The question which is expected to tell most; nothing when none tells any more. */
  next: Feature | undefined;
  /** What that question is expected to tell, bits. */
  nextBits: number;
  /** One face is as good as certain. */
  settled: boolean;
}

/** How often a careful eye or finger answers right; the other answers share the rest. Common practice, no source. */
const RIGHT = 0.95;
/** From here on a face is called by its name. */
const CERTAIN = 0.9;
/** A question which tells less than this is not worth asking, bits. */
const WORTH_BITS = 0.02;

/** Likelihood of an answer when it is this face. */
function likelihood(feature: Feature, answer: string, face: Face): number {
  const truth = feature.truth(face);
  if (truth === undefined) return 1 / feature.answers.length;
  return answer === truth ? RIGHT : (1 - RIGHT) / (feature.answers.length - 1);
}

const entropy = (weights: readonly number[]): number => {
  const total = weights.reduce((sum, w) => sum + w, 0);
  return weights.reduce((bits, w) => (w > 0 ? bits - (w / total) * Math.log2(w / total) : bits), 0);
};

/** Expected information of a question, bits: entropy now less the mean entropy after its answer. */
function expectedBits(feature: Feature, candidates: readonly Candidate[]): number {
  const now = entropy(candidates.map(({ probability }) => probability));
  const after = feature.answers.reduce((sum, { id }) => {
    const weights = candidates.map(({ face, probability }) => probability * likelihood(feature, id, face));
    const share = weights.reduce((total, w) => total + w, 0);
    return sum + share * entropy(weights);
  }, 0);
  return now - after;
}

export interface IdentifyOptions {
  /** Ways of asking which the hand and eye now have. */
  by?: readonly Feature['by'][];
  /** Faces it can be. */
  among?: readonly Face[];
}

/**
 * What connector is this? Faces weighed by the answers so far (Bayes, with room for a wrong answer), and the question which
 * is expected to tell most.
 *
 * @example identify([{ feature: 'coupling', answer: 'lugs' }]).candidates[0].code // a BNC jack
 */
export function identify(
  given: readonly GivenAnswer[],
  { by = ['look', 'touch', 'ruler'], among = [...faces.values()] }: IdentifyOptions = {},
): Identification {
  const weights = among.map((face) =>
    given.reduce((weight, { feature: id, answer }) => {
      const feature = features.find((one) => one.id === id);
      return feature && answer !== UNSURE ? weight * likelihood(feature, answer, face) : weight;
    }, 1),
  );
  const total = weights.reduce((sum, w) => sum + w, 0);
  const candidates = among
    .map((face, k): Candidate => ({ face, code: faceCode(face), probability: weights[k] / total }))
    .sort((x, y) => y.probability - x.probability);
  const asked = new Set(given.map(({ feature }) => feature));
  const settled = candidates[0].probability >= CERTAIN;
  const ranked = features
    .filter((feature) => by.includes(feature.by) && !asked.has(feature.id))
    .map((feature) => ({ feature, bits: expectedBits(feature, candidates) }))
    .sort((x, y) => y.bits - x.bits);
  const best = ranked.at(0);
  return best && best.bits >= WORTH_BITS && !settled
    ? { candidates, next: best.feature, nextBits: best.bits, settled }
    : { candidates, next: undefined, nextBits: 0, settled };
}
