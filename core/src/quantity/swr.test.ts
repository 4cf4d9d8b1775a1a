import { describe, expect, it } from 'vitest';
import { parseReturnLoss, parseSwr } from './swr.js';

const valueOf = (read: ReturnType<typeof parseSwr>): number => (read.ok ? read.value : NaN);
const askedOf = (read: ReturnType<typeof parseSwr>) => (read.ok ? undefined : read.problem.choices);

// Return loss = −20·lg((S − 1)/(S + 1)): standard texts (Pozar). SWR 1.1 is 26.44 dB, 1.5 is 13.98, 20.8 dB is 1.2007.
describe('a match as it is said', () => {
  it.each(['1.1', '1.1:1', '1,1 : 1', 'SWR 1.1', 'vswr=1.1', 'swr 1.1:1'])('%s is SWR 1.1', (text) =>
    expect(valueOf(parseSwr(text))).toBe(1.1),
  );

  it('a return loss says its decibels, a ratio its ratio, wherever it is typed', () => {
    expect(valueOf(parseSwr('20.8 dB'))).toBeCloseTo(1.2007, 4);
    expect(valueOf(parseReturnLoss('1.1:1'))).toBeCloseTo(26.44, 2);
    expect(valueOf(parseReturnLoss('SWR 1.5'))).toBeCloseTo(13.98, 2);
    expect(valueOf(parseReturnLoss('-20.8'))).toBe(20.8);
    expect(valueOf(parseReturnLoss('RL 1.3 dB'))).toBe(1.3);
  });

  it('what can be either is asked about, and each answer is one', () => {
    expect(askedOf(parseReturnLoss('1.1'))).toEqual(['SWR 1.1', '1.1 dB']);
    expect(askedOf(parseSwr('20.8'))).toEqual(['SWR 20.8', '20.8 dB']);
    for (const [parse, text] of [
      [parseReturnLoss, '1.1'],
      [parseSwr, '20.8'],
    ] as const)
      for (const choice of askedOf(parse(text)) ?? []) expect(parse(choice).ok).toBe(true);
    expect(valueOf(parseReturnLoss('6.1'))).toBe(6.1);
    expect(valueOf(parseSwr('6'))).toBe(6);
  });

  it.each(['0.9', '0.9:1', 'SWR 101', '0.1 dB', 'SWR', 'swr 3 dB', 'junk', '', '1:2'])(
    '%s is no ratio',
    (text) => expect(parseSwr(text).ok).toBe(false),
  );
});
