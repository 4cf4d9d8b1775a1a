export { CausePrior, Practice, REMAKE_M, defaultPractice, makeSchools } from './practice.js';
