import type { MildRule, Snag, SnagContext, SnagRule } from './snag.js';
import { adapterStack } from './adapterStack.js';
import { arresterFit } from './arresterFit.js';
import { arresterMissing } from './arresterMissing.js';
import { averagePower } from './averagePower.js';
import { bendRadius } from './bendRadius.js';
import { buriedJoint } from './buriedJoint.js';
import { cableFit } from './cableFit.js';
import { cheaperCable } from './cheaperCable.js';
import { toolNotOwned } from './toolNotOwned.js';
import { deviceFit } from './deviceFit.js';
import { duplexNoise } from './duplexNoise.js';
import { flexingCentre } from './flexingCentre.js';
import { foilScrewOn } from './foilScrewOn.js';
import { handheldPort } from './handheldPort.js';
import { impedanceStep } from './impedanceStep.js';
import { jacket } from './jacket.js';
import { lossBudget } from './lossBudget.js';
import { mating } from './mating.js';
import { peakVoltage } from './peakVoltage.js';
import { reach } from './reach.js';
import { readingFailed } from './readingFailed.js';
import { saltAir } from './saltAir.js';
import { seriesFrequency } from './seriesFrequency.js';
import { secondMode } from './secondMode.js';
import { seventyFive } from './seventyFive.js';
import { sealOverDrain } from './sealOverDrain.js';
import { sealOverTube } from './sealOverTube.js';
import { sealSize } from './sealSize.js';
import { sealSystemPlace } from './sealSystemPlace.js';
import { sealTooThick } from './sealTooThick.js';
import { sealedCold } from './sealedCold.js';
import { sealedUnproved } from './sealedUnproved.js';
import { thinOutdoors } from './thinOutdoors.js';
import { tooManyJoints } from './tooManyJoints.js';
import { tubeDamaged } from './tubeDamaged.js';
import { torqueWrong } from './torqueWrong.js';
import { unsealedJoint } from './unsealedJoint.js';
import { waterFound } from './waterFound.js';
import { wornPort } from './wornPort.js';

/** Rules which may stop the work; a remedy is held against them alone. Adding one touches this list and its own file only. */
const stoppingRules: SnagRule[] = [
  mating,
  cableFit,
  reach,
  peakVoltage,
  averagePower,
  secondMode,
  seventyFive,
  arresterFit,
  tubeDamaged,
  deviceFit,
  jacket,
  buriedJoint,
  sealSystemPlace,
  sealTooThick,
];

/** Rules which warn or note, and never stop. */
const mildRules: MildRule[] = [
  seriesFrequency,
  impedanceStep,
  lossBudget,
  cheaperCable,
  tooManyJoints,
  arresterMissing,
  saltAir,
  thinOutdoors,
  duplexNoise,
  bendRadius,
  flexingCentre,
  foilScrewOn,
  toolNotOwned,
  handheldPort,
  adapterStack,
  wornPort,
  sealSize,
  sealOverTube,
  sealOverDrain,
  sealedCold,
  waterFound,
  torqueWrong,
  sealedUnproved,
  unsealedJoint,
];

/** Rules of what was measured: no change of a design mends or worsens that. */
const readingRules: SnagRule[] = [readingFailed];

/** Every rule. */
export const snagRules: SnagRule[] = [...stoppingRules, ...readingRules, ...mildRules];

/** How often each rule stops the work. */
export function stopCounts(found: readonly Pick<Snag, 'level' | 'rule'>[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { level, rule } of found) if (level === 'stop') counts.set(rule, (counts.get(rule) ?? 0) + 1);
  return counts;
}

/** The same of a run, by the rules alone which may stop it. */
export const stopsOf = (context: SnagContext): Map<string, number> =>
  stopCounts(stoppingRules.flatMap((rule) => rule(context)));

const weight = { stop: 0, caution: 1, note: 2 };

/** Everything the rules have against a run, worst first, then along the ruler. */
export const snagsOf = (context: SnagContext): Snag[] =>
  snagRules
    .flatMap((rule) => rule(context))
    .map(({ of, ...finding }): Snag => ({ ...finding, id: `${finding.rule}@${of}` }))
    .sort((x, y) => weight[x.level] - weight[y.level] || x.distanceM - y.distanceM);
