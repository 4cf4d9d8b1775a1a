import type { Snag, SnagContext, SnagRule } from './snag.js';
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
import { saltAir } from './saltAir.js';
import { seriesFrequency } from './seriesFrequency.js';
import { seventyFive } from './seventyFive.js';
import { sealOverDrain } from './sealOverDrain.js';
import { sealOverTube } from './sealOverTube.js';
import { sealSize } from './sealSize.js';
import { sealSystemPlace } from './sealSystemPlace.js';
import { sealTooThick } from './sealTooThick.js';
import { sealedCold } from './sealedCold.js';
import { sealedUnproved } from './sealedUnproved.js';
import { tooManyJoints } from './tooManyJoints.js';
import { tubeDamaged } from './tubeDamaged.js';
import { unsealedJoint } from './unsealedJoint.js';
import { wornPort } from './wornPort.js';

/** Every rule; adding one touches this list and its own file only. */
export const snagRules: SnagRule[] = [
  mating,
  cableFit,
  reach,
  seriesFrequency,
  peakVoltage,
  averagePower,
  seventyFive,
  impedanceStep,
  lossBudget,
  cheaperCable,
  tooManyJoints,
  arresterMissing,
  arresterFit,
  tubeDamaged,
  deviceFit,
  jacket,
  saltAir,
  duplexNoise,
  bendRadius,
  flexingCentre,
  foilScrewOn,
  toolNotOwned,
  handheldPort,
  adapterStack,
  wornPort,
  buriedJoint,
  sealSystemPlace,
  sealSize,
  sealTooThick,
  sealOverTube,
  sealOverDrain,
  sealedCold,
  sealedUnproved,
  unsealedJoint,
];

const weight = { stop: 0, caution: 1, note: 2 };

/** Everything the rules have against a run, worst first, then along the ruler. */
export const snagsOf = (context: SnagContext): Snag[] =>
  snagRules
    .flatMap((rule) => rule(context))
    .map(({ of, ...finding }): Snag => ({ ...finding, id: `${finding.rule}@${of}` }))
    .sort((x, y) => weight[x.level] - weight[y.level] || x.distanceM - y.distanceM);
