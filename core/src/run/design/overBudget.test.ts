import fc from 'fast-check';
import { expect, it } from 'vitest';
import { formatDecibels } from '../../quantity/index.js';
import { isOverBudget } from './overBudget.js';

// Below 10 dB a hundredth is written. By what the words say: “loses 3.00 dB, budget 3.00 dB” is no complaint; a hundredth more is one.
it('a loss which reads as its budget is not over it, one which reads more is', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 990 }),
      fc.double({ min: -0.0049, max: 0.0049, noNaN: true }),
      (n, off) => {
        const budgetDb = n / 100;
        expect(formatDecibels(budgetDb + off)).toBe(formatDecibels(budgetDb));
        expect(isOverBudget(budgetDb + off, budgetDb)).toBe(false);
        expect(isOverBudget(budgetDb + 0.01 + off, budgetDb)).toBe(true);
      },
    ),
  );
});
