import { describe, expect, it } from 'vitest';
import { aRun, fact, snagsOf } from '../aRun.fixture.js';
import { toolIds, type ToolId } from '../../make/index.js';
import { defaultPractice } from '../../practice/index.js';
import { endIdsOf } from '../design/ids.js';
import { noFacts } from '../facts/facts.js';

// The shop’s own list of dies.
describe('toolNotOwned', () => {
  const withDies = (diesMm: number[]): ReturnType<typeof snagsOf> =>
    snagsOf(aRun(), 'tool', noFacts, { ...defaultPractice, diesMm });
  it('says the die that is missing and offers a part without one', () => {
    const [snag] = withDies([5.4, 6.5]);
    expect(snag.what).toContain('10.9 mm die');
    expect(snag.why).toContain('6.5 mm');
    expect(snag.remedies.some(({ detail }) => detail.includes('needs no die'))).toBe(true);
  });
  it('is silent when it is owned, or nothing is said of dies', () => {
    expect(withDies([10.9])).toEqual([]);
    expect(snagsOf(aRun(), 'tool')).toEqual([]);
  });
});

// Handbook practice: a card is only as good as the tools on the bench.
describe('toolNotOwned, tools', () => {
  const withTools = (tools: ToolId[], design = aRun()): ReturnType<typeof snagsOf> =>
    snagsOf(design, 'tool', noFacts, { ...defaultPractice, tools });
  it('a shop without a hex crimper is offered the gland', () => {
    const [snag] = withTools(toolIds.filter((tool) => tool !== 'crimper'));
    expect(snag.what).toContain('ratchet crimper');
    expect(snag.remedies[0].title).toContain('gland');
  });
  it('a shop with everything hears nothing, and neither does one whose ends are made', () => {
    expect(withTools([...toolIds])).toEqual([]);
    const made = endIdsOf('main').map((endId) => fact({ kind: 'end made', endId }));
    expect(snagsOf(aRun(), 'tool', made, { ...defaultPractice, tools: [] })).toEqual([]);
  });
});
