/** What a solver of mixed-integer programs answers. */
export interface MilpSolution {
  /** Is the solution proved to be the best? */
  proved: boolean;
  /** No solution can be better than this. */
  bound: number;
  /** Values of the variables in the order in which the program names them first. */
  values: ArrayLike<number>;
}

/** Solves a program in CPLEX LP format, within a time in seconds. */
export type MilpSolver = (program: string, limitS: number) => Promise<MilpSolution>;
