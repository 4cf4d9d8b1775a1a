export { BENCH_SCHEMA } from './bench.js';
export type { Bench, BenchEntry, BenchHands, ReadBench } from './bench.js';
export { delayOf, deviceOn, deviceScattering, type Device } from './device.js';
export { type HiddenFault } from './hiddenFault.js';
export { generatorOf, trueVelocityFactor } from './truth.js';
export { instrumentKinds, type InstrumentKind } from './instrumentKinds.js';
export {
  canRehearse,
  rehearsalCauses,
  rehearsalSight,
  rehearsalTruth,
  type RehearsalSight,
  type RehearsalTruth,
} from './rehearsal.js';
