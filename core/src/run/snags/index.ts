import type { SnagRule } from '../snag.js';
import { arresterFit } from './arresterFit.js';
import { arresterMissing } from './arresterMissing.js';
import { averagePower } from './averagePower.js';
import { bendRadius } from './bendRadius.js';
import { cableFit } from './cableFit.js';
import { handheldPort } from './handheldPort.js';
import { jacket } from './jacket.js';
import { lossBudget } from './lossBudget.js';
import { mating } from './mating.js';
import { peakVoltage } from './peakVoltage.js';
import { reach } from './reach.js';
import { seriesFrequency } from './seriesFrequency.js';
import { seventyFive } from './seventyFive.js';
import { unsealedJoint } from './unsealedJoint.js';

/** Every rule; adding one touches this list and its own file only. */
export const snagRules: SnagRule[] = [
  mating,
  cableFit,
  reach,
  seriesFrequency,
  peakVoltage,
  averagePower,
  seventyFive,
  lossBudget,
  arresterMissing,
  arresterFit,
  jacket,
  bendRadius,
  handheldPort,
  unsealedJoint,
];
