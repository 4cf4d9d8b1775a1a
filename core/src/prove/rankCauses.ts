import { causes, causeTests, type Cause, type CauseId, type Findings, type TestId } from './causes.js';

/** Causes with a shop’s own priors; those it says nothing of keep theirs, and all together are one. */
export function withPriors(own: readonly { cause: CauseId; share: number }[]): Cause[] {
  const wanted = causes.map((cause) => ({
    ...cause,
    prior: own.find((one) => one.cause === cause.id)?.share ?? cause.prior,
  }));
  const sum = wanted.reduce((total, { prior }) => total + prior, 0);
  return sum > 0 ? wanted.map((cause) => ({ ...cause, prior: cause.prior / sum })) : causes;
}

/** A cause with what the findings say of it. */
export interface RankedCause {
  cause: Cause;
  /** 0..1; what all causes together lack of 1 is something else. */
  probability: number;
}

/** Probability of one answer when the cause is there; 1 for a test which was not taken. */
function likelihood({ answers }: Cause, test: TestId, answer: string | undefined): number {
  if (answer === undefined) return 1;
  const at = (causeTests[test].answers as string[]).indexOf(answer);
  return answers[test][at];
}

/** What a test was taken of: a bare assembly has no antenna and no arrester to accuse. */
export interface Measured {
  antenna: boolean;
  arrester: boolean;
  /** Does weather or soil reach any of it? */
  weather: boolean;
}

/** By so much rarer is water in a cable which never was outside. Common practice, no source. */
const INDOOR_WATER = 0.05;

/** The causes which what was measured can have; water seldom where none reaches. */
export const causesOf = (
  { antenna, arrester, weather }: Measured,
  known: readonly Cause[] = causes,
): Cause[] =>
  known
    .filter(({ id }) => (antenna || id !== 'antenna') && (arrester || id !== 'failed tube'))
    .map((cause) =>
      cause.id === 'water' && !weather ? { ...cause, prior: INDOOR_WATER * cause.prior } : cause,
    );

/** So often it is what this list does not know, whatever was seen: nothing is ever certain. Common practice, no source. */
const SOMETHING_ELSE = 0.03;

/**
 * Causes by their probability after the findings: Bayes' rule with tests independent of each other once the cause is known.
 *
 * @param known causes with their priors; a shop may set its own
 */
export function rankCauses(findings: Findings, known: readonly Cause[] = causes): RankedCause[] {
  const tests = Object.keys(causeTests) as TestId[];
  const weighed = known.map((cause) => ({
    cause,
    probability: tests.reduce(
      (product, test) => product * likelihood(cause, test, findings[test]),
      cause.prior,
    ),
  }));
  const sum = weighed.reduce((total, { probability }) => total + probability, 0);
  return weighed
    .map(({ cause, probability }) => ({ cause, probability: ((1 - SOMETHING_ELSE) * probability) / sum }))
    .sort((x, y) => y.probability - x.probability);
}

/** How much the ranking leaves open, bit: 0 when one cause is certain. */
const openness = (ranked: readonly RankedCause[]): number =>
  ranked.reduce((sum, { probability: p }) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

/** A test not taken yet with what it is expected to settle. */
export interface NextTest {
  test: TestId;
  /** Expected to be settled by it, bit. */
  settlesBits: number;
}

/** Tests not taken yet, the one first which is expected to separate the causes best. */
export function nextTests(findings: Findings, known: readonly Cause[] = causes): NextTest[] {
  const now = rankCauses(findings, known);
  const open = openness(now);
  return (Object.keys(causeTests) as TestId[])
    .filter((test) => findings[test] === undefined)
    .map((test) => {
      const left = (causeTests[test].answers as string[]).reduce((sum, answer) => {
        const chance = now.reduce(
          (total, { cause, probability }) => total + probability * likelihood(cause, test, answer),
          0,
        );
        return chance === 0
          ? sum
          : sum + chance * openness(rankCauses({ ...findings, [test]: answer }, known));
      }, 0);
      return { test, settlesBits: open - left };
    })
    .sort((x, y) => y.settlesBits - x.settlesBits);
}
