export { adapterChains, type TurnedAdapter } from './chains.js';
export { fitCable, type CableFit, type FitVerdict, type Gap } from './cableFit.js';
export { mate, type Mating, type Verdict } from './mate.js';
