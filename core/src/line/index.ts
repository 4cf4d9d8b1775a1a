export { along, firstFrom, type Along, type PlacedElement } from './along.js';
export {
  SPEED_OF_LIGHT,
  atCelsius,
  attenuationDbPer100M,
  catalogAt,
  matchedLossDb,
  phaseConstant,
} from './attenuation.js';
export {
  cableLine,
  complexImpedance,
  contactOhm,
  multiplyAbcd,
  primaryConstants,
  writeAbcd,
} from './element.js';
export {
  COPPER_SIEMENS_PER_M,
  coaxLine,
  lossFromDimensions,
  outerForImpedance,
  permittivityOf,
  skinDepthM,
  cableCutoffHz,
  te11CutoffHz,
  type CoaxDimensions,
} from './coax.js';
export { largestSingularValue, reciprocityError } from './traceLaws.js';
export { loadImpedance, reflectionOf, type Load } from './load.js';
export type { Abcd, Element, LineElement } from './element.js';
export { aloneDb, bodyLine, jointEchoDb, jointElements } from './joint.js';
export { adapterElements, arresterElements, turnedRound } from './rigid.js';
export { externalNoise, groundShare, noisePenaltyDb, noisePlaces, seenK, skyK } from './noise.js';
export type { Listening, NoisePlace, ReceiveChain } from './noise.js';
export { AVERAGE_POWER_SPREAD, averagePowerW, connectorAverageW, standingWaveHeat } from './powerRating.js';
export {
  peakVoltageFromForward,
  peakVoltageFromNet,
  reflection,
  reflectionDb,
  reflectionFromPowers,
  reflectionFromSwr,
  returnLossDb,
  swrBehindLoss,
  swrFromReflection,
  totalLossDb,
} from './reflection.js';
export { rememberingCascade } from './remember.js';
export { cascade, sweep, type Complex, type Complexes, type Response } from './response.js';
export { loaded, scattering, type Scattering } from './scattering.js';
