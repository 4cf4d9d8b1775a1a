export { cardExpectation } from './cardReading.js';
export { expectations, judge } from './expectations.js';
export type { Expectation, ReadingJudgement, ReadingVerdict, Test } from './expectations.js';
