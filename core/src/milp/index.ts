export { highsSolver } from './highsSolver.js';
export type { MilpSolution, MilpSolver } from './milp.js';
