export { chained, checkLog, EMPTY_LOG, entryHash, type KeptLog, type LogCheck } from './chain.js';
export { bytesHash, documentHash } from './hash.js';
export { sayClash, type ClashWords } from './sayClash.js';
export { designChanges, type DesignChange } from './designChanges.js';
export { revisionsOf, signedState, type Revision, type SignedState } from './revisions.js';
export { checkSweeps, sweepHash, type SampledSweep, type SweepCheck } from './sweepHash.js';
