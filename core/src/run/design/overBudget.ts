/** What is written alike is alike: losses below 10 dB are told to a hundredth. */
const WRITTEN_DB = 0.005;

/** Does a run lose more than its budget allows, as both are written? */
export const isOverBudget = (lossDb: number, budgetDb: number): boolean => lossDb > budgetDb + WRITTEN_DB;
