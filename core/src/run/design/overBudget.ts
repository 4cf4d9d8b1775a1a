/** What is written alike is alike: losses are told to a hundredth of a dB. */
const WRITTEN_DB = 0.005;

/** Does a run lose more than its budget allows, as both are written? */
export const isOverBudget = (lossDb: number, budgetDb: number): boolean => lossDb > budgetDb + WRITTEN_DB;
