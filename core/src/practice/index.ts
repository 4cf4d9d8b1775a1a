export { REMAKE_M, defaultPractice, inspectionMonths, makeSchools, sealMethod } from './practice.js';
export type { CausePrior, Practice } from './practice.js';
