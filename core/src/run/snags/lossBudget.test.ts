import { describe, expect, it } from 'vitest';
import { aRun, mends, snagsOf } from '../aRun.fixture.js';

describe('lossBudget', () => {
  const lossy = aRun({ service: { lossBudgetDb: 0.8 } });
  it('names the piece which costs most; each remedy brings it under or says what it saves', () => {
    const [snag] = snagsOf(lossy, 'loss-budget');
    expect(snag).toMatchObject({ level: 'caution', at: 'main' });
    expect(snag.remedies.length).toBeGreaterThan(1);
    expect(mends(lossy, 'loss-budget', 0)).toBe(true);
    expect(mends(lossy, 'loss-budget', snag.remedies.length - 1)).toBe(true);
  });
});
