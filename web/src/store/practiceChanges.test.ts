import { describe, expect, it } from 'vitest';
import { FakeBrowser, FakeClock, settled } from './fakes.fixture.js';
import { practiceKey } from './kept/keys.js';
import { PracticeChanges, type ChangeDelivery, type PracticeChange } from './practiceChanges.js';
import { readPracticeChange } from './readParcel.js';

/** A server with one practice, which may be away or refuse. */
function bench() {
  const browser = new FakeBrowser();
  const clock = new FakeClock();
  const server = { stands: {} as PracticeChange, answer: { kind: 'done' } as ChangeDelivery };
  const warned: string[] = [];
  const aside: [string, PracticeChange, string][] = [];
  const open = async (tab: string): Promise<PracticeChanges> => {
    const changes = new PracticeChanges({
      keeper: browser.keeper,
      tabs: browser.open(tab),
      later: clock.later,
      warn: (message) => warned.push(message),
      check: (value) => Promise.resolve(readPracticeChange(value)),
      deliver: (_, change) => {
        if (server.answer.kind === 'done') server.stands = { ...server.stands, ...change };
        return Promise.resolve(server.answer);
      },
      arrived: () => Promise.resolve(),
      setAside: (...entry) => {
        aside.push(entry);
        return Promise.resolve();
      },
    });
    await changes.start();
    return changes;
  };
  return { browser, clock, server, warned, aside, open };
}

describe('a change of practice', () => {
  it('made while the server is away is shown, kept through a reload, and sent when it is back', async () => {
    const { clock, server, open } = bench();
    server.answer = { kind: 'away' };
    const first = await open('a');
    await first.put('job', { remakesPerEnd: 2 });
    await first.put('job', { twoPersonCheck: true });
    first.stop();
    const reloaded = await open('a again');
    expect(reloaded.snapshot().get('job')).toEqual({ remakesPerEnd: 2, twoPersonCheck: true });
    server.stands = { remakesPerEnd: 1, tapeStretch: 'hard' };
    server.answer = { kind: 'done' };
    await clock.pass(3000);
    // What somebody else has set meanwhile stays, where this does not touch it.
    expect(server.stands).toEqual({ remakesPerEnd: 2, twoPersonCheck: true, tapeStretch: 'hard' });
    expect(reloaded.snapshot().size).toBe(0);
  });

  it('is shown in every tab, and by none once the server has it', async () => {
    const { clock, server, open } = bench();
    server.answer = { kind: 'away' };
    const [one, other] = [await open('a'), await open('b')];
    await one.put('', { remakesPerEnd: 2 });
    await settled();
    expect(other.snapshot().get('')).toEqual({ remakesPerEnd: 2 });
    server.answer = { kind: 'done' };
    await clock.pass(3000);
    expect([one.snapshot().size, other.snapshot().size]).toEqual([0, 0]);
  });

  it('refused is set aside with the reason and told, and does not stand in the way of the next', async () => {
    const { server, warned, aside, open } = bench();
    server.answer = { kind: 'refused', message: 'Not like this.' };
    const changes = await open('a');
    await changes.put('job', { remakesPerEnd: 2 });
    await settled();
    expect(aside).toEqual([['job', { remakesPerEnd: 2 }, 'Not like this.']]);
    expect(warned).toHaveLength(1);
    expect(warned[0]).toMatch(/set aside.*Not like this\./);
    expect(changes.snapshot().size).toBe(0);
  });

  it('stays on screen where the device has no room, whatever other tabs tell', async () => {
    const { browser, server, warned, open } = bench();
    server.answer = { kind: 'away' };
    const [one, other] = [await open('a'), await open('b')];
    browser.keeper.trouble = 'full';
    await one.put('job', { remakesPerEnd: 2 });
    browser.keeper.trouble = undefined;
    await other.put('', { twoPersonCheck: true });
    await settled();
    expect(one.snapshot().get('job')).toEqual({ remakesPerEnd: 2 });
    expect(warned).toHaveLength(1);
  });

  it('spoilt in the store is left out of what is shown', async () => {
    const { browser, server, open } = bench();
    server.answer = { kind: 'away' };
    for (const [id, value] of [
      ['a', 5],
      ['b', { crew: 7 }],
      ['c', { nonsense: true }],
    ] as const)
      await browser.keeper.put(practiceKey(id), value);
    expect((await open('a')).snapshot().size).toBe(0);
  });
});
