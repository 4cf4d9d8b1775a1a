export { choke, chokingBand, chokingOhm, chooseChoke, isLongOnTheWave, type Choke } from './choke.js';
export { degreesOfDelay, delayLine } from './delayLine.js';
export {
  bandBelow,
  isWorthMatching,
  simulate,
  type MatchDevice,
  type MatchPiece,
  type Simulated,
} from './device.js';
export { halfWaveBalun } from './halfWaveBalun.js';
export { quarterWave, type QuarterWave } from './quarterWave.js';
export { seriesSections } from './seriesSection.js';
export { stubMatches, stubReactance, trapStub } from './stub.js';
export { oddQuartersThatReach, twelfthWaveDegrees } from './twelfthWave.js';
