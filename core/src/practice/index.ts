export { REMAKE_M, defaultPractice, makeSchools } from './practice.js';
export type { CausePrior, Practice } from './practice.js';
