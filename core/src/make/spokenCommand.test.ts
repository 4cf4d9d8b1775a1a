import { describe, expect, it } from 'vitest';
import { parseResistance } from '../quantity/index.js';
import { spokenCommand } from './index.js';

// Common practice, no source: what a recogniser writes down when somebody says it.
describe('what a card understands', () => {
  it.each([
    ['next', 'next'],
    ['Next.', 'next'],
    [' go on ', 'next'],
    ['back', 'back'],
    ['Repeat', 'repeat'],
    ['say again', 'repeat'],
    ['wrong', 'wrong'],
    ['start timer', 'timer'],
  ])('%s', (heard, kind) => expect(spokenCommand(heard)).toEqual({ kind }));

  it.each([
    ['value 0.3', 0.3],
    ['Value 0,3', 0.3],
    ['value 0.3 ohms', 0.3],
    ['value zero point three', 0.3],
    ['value point zero five ohms', 0.05],
    ['value two hundred megohms', 200e6],
    ['reading 200 mega ohms', 200e6],
    ['value one hundred and twenty five milliohms', 0.125],
    ['value twelve thousand', 12_000],
    ['it shows twenty-one ohms', 21],
    ['value open', Infinity],
    ['over range', Infinity],
    ['it shows open', Infinity],
  ])('%s is %d ohm', (heard, ohm) => {
    const command = spokenCommand(heard);
    if (command?.kind !== 'value') throw new Error(`${heard}: ${JSON.stringify(command)}`);
    expect(parseResistance(command.text)).toEqual({ ok: true, value: ohm });
  });

  it.each([
    '',
    'pass me the next one',
    'value',
    'value of that cable',
    'the back nut',
    'nexts',
    'value three point',
  ])('a bench is never quiet: “%s” is no command', (heard) => expect(spokenCommand(heard)).toBeUndefined());
});
