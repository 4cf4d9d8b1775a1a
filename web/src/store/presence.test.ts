import { describe, expect, it } from 'vitest';
import { besideMe, Presence } from './presence.js';

const told = (id: string, name: string, path: string): string => JSON.stringify({ id, name, path });

describe('who is where', () => {
  it('is whoever said so last and lately, and not oneself', () => {
    let now = 0;
    const presence = new Presence('me', () => now);
    for (const one of [
      told('me', 'Joss', '/runs/1/plan'),
      told('a', 'Wenna', '/runs/1/make'),
      'junk',
      '{"id":1}',
    ])
      presence.heard(one);
    expect(presence.snapshot()).toEqual([{ id: 'a', name: 'Wenna', path: '/runs/1/make' }]);
    presence.heard(told('a', 'Wenna', '/runs/2/make'));
    expect(besideMe(presence.snapshot(), '/runs/1/plan')).toEqual([]);
    now = 60_000;
    presence.tidy();
    expect(presence.snapshot()).toHaveLength(1);
    now = 76_000;
    presence.tidy();
    expect(presence.snapshot()).toEqual([]);
  });

  it('ends when the page is left', () => {
    const presence = new Presence('me', () => 0);
    presence.heard(told('a', 'Wenna', '/jobs/1/site'));
    presence.heard(told('a', 'Wenna', ''));
    expect(presence.snapshot()).toEqual([]);
  });

  it('is said of the same run or job only, each name once', () => {
    const all = [
      ['a', 'Wenna', '/runs/1/prove?at=x'],
      ['b', 'Wenna', '/runs/1'],
      ['c', '', '/runs/1/plan'],
      ['d', '', '/runs/1/plan'],
      ['e', 'Hedra', '/runs/11/plan'],
      ['f', 'Petrok', '/'],
    ].map(([id, name, path]) => ({ id, name, path }));
    expect(besideMe(all, '/runs/1/plan')).toEqual(['Wenna', '2 others']);
    expect(besideMe(all, '/')).toEqual([]);
  });
});
