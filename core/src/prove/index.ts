export { cardExpectation } from './cardReading.js';
export { expectations, judge } from './expectations.js';
export type { Expectation, ReadingJudgement, ReadingVerdict, Test } from './expectations.js';
export { unitDoubt, type UnitDoubt } from './unitDoubt.js';
