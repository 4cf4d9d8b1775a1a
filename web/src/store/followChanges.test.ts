import type { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeBrowser } from './fakes.fixture.js';
import { followChanges, keysOf } from './followChanges.js';

/** A connection which says what it is told to. */
class FakeSource {
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  isClosed = false;
  close(): void {
    this.isClosed = true;
  }
}

describe('what others change', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  const world = () => {
    const browser = new FakeBrowser();
    const sources: FakeSource[] = [];
    const tab = (name: string) => {
      const [asked, back, heard]: [unknown[], string[], string[]] = [[], [], []];
      const queries = {
        invalidateQueries: (filter?: { queryKey?: readonly unknown[] }) => {
          asked.push(filter?.queryKey?.join(' ') ?? 'all');
          return Promise.resolve();
        },
      } as unknown as QueryClient;
      const stop = followChanges(
        queries,
        browser.open(name),
        () => back.push(name),
        (here) => heard.push(here),
        () => {
          const source = new FakeSource();
          sources.push(source);
          return source as unknown as EventSource;
        },
      );
      return { asked, stop, back, heard };
    };
    return { sources, tab };
  };
  const settle = () => vi.advanceTimersByTimeAsync(200);

  it('one tab listens, all of them ask again, what comes together once', async () => {
    const { sources, tab } = world();
    const [one, two] = [tab('1'), tab('2')];
    await settle();
    expect(sources).toHaveLength(1);
    sources[0].onopen?.();
    for (let k = 0; k < 3; k++) sources[0].onmessage?.({ data: 'run r1' });
    await settle();
    for (const { asked } of [one, two]) {
      expect(asked.filter((key) => key === 'run r1')).toHaveLength(1);
      expect(asked).not.toContain('all');
    }
  });

  it('the next tab listens when the first is closed, and after a break everything is asked again', async () => {
    const { sources, tab } = world();
    const [one, two] = [tab('1'), tab('2')];
    await settle();
    one.stop();
    await settle();
    expect(sources.map(({ isClosed }) => isClosed)).toEqual([true, false]);
    sources[1].onopen?.();
    await settle();
    expect(two.asked).toEqual([]);
    sources[1].onerror?.();
    sources[1].onopen?.();
    await settle();
    expect(two.asked).toEqual(['all']);
  });

  it('where somebody is, is told and asks for nothing; what was missed asks for all, and says that the server is back', async () => {
    const { sources, tab } = world();
    const [one, two] = [tab('1'), tab('2')];
    await settle();
    sources[0].onopen?.();
    sources[0].onmessage?.({ data: 'here {"id":"x"}' });
    await settle();
    for (const { asked, heard } of [one, two]) {
      expect(heard).toEqual(['{"id":"x"}']);
      expect(asked).toEqual([]);
    }
    sources[0].onerror?.();
    sources[0].onopen?.();
    await settle();
    for (const { asked, back } of [one, two]) {
      expect(asked).toEqual(['all']);
      expect(back).toHaveLength(1);
    }
  });

  it('what nobody knows is everything', () => {
    expect(keysOf('anything')).toBe('all');
    expect(keysOf('run r1')).toContainEqual(['run', 'r1']);
    expect(keysOf('job j1')).toContainEqual(['job', 'j1']);
    expect(keysOf('shop')).toContainEqual(['shop']);
  });
});
