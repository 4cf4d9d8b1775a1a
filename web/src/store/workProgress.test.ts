import { describe, expect, it } from 'vitest';
import { FakeClock, FakeKeeper, settled } from './fakes.fixture.js';
import { WorkProgress, type Progress } from './workProgress.js';

interface Ticks {
  ticks: number;
}
const read = (value: unknown): Ticks | undefined =>
  typeof value === 'object' && value !== null && 'ticks' in value && typeof value.ticks === 'number'
    ? { ticks: value.ticks }
    : undefined;

/** One server, and phones with stores of their own. */
function bench() {
  const clock = new FakeClock();
  const server: { has?: Progress; away: boolean } = { away: false };
  let minute = 0;
  const phone = (keeper = new FakeKeeper()) => {
    const warnings: string[] = [];
    const progress = new WorkProgress('run', 'card main.a', read, {
      keeper,
      later: clock.later,
      now: () => new Date(1e12 + 60_000 * minute++).toISOString(),
      warn: (message) => warnings.push(message),
      fetch: () => Promise.resolve(server.away ? undefined : server.has),
      send: (sent) => {
        if (server.away) return Promise.resolve(false);
        if (!server.has || server.has.at < sent.at) server.has = sent;
        return Promise.resolve(true);
      },
    });
    return { progress, keeper, warnings };
  };
  return { clock, server, phone };
}

describe('how far a card is', () => {
  it('a second phone goes on where the first stopped', async () => {
    const { clock, phone } = bench();
    const first = phone();
    expect(await first.progress.ofDevice()).toBeUndefined();
    first.progress.keep({ ticks: 3 });
    await clock.pass(1_000);
    const second = phone();
    expect(await second.progress.ofDevice()).toBeUndefined();
    expect(await second.progress.ofServer()).toEqual({ body: { ticks: 3 } });
  });

  it('without the server a reload goes on from the device, and the server has it when it is back', async () => {
    const { clock, phone, server } = bench();
    server.away = true;
    const { progress, keeper } = phone();
    progress.keep({ ticks: 5 });
    await clock.pass(1_000);
    expect(server.has).toBeUndefined();
    const again = phone(keeper).progress;
    expect(await again.ofDevice()).toEqual({ ticks: 5 });
    server.away = false;
    await clock.pass(10_000);
    expect(server.has?.body).toEqual({ ticks: 5 });
  });

  it('the newest stands: an older one of the server does not go over what was done here', async () => {
    const { clock, phone, server } = bench();
    const [here, there] = [phone(), phone()];
    there.progress.keep({ ticks: 1 });
    await clock.pass(1_000);
    server.away = true;
    here.progress.keep({ ticks: 2 });
    await settled();
    server.away = false;
    const reloaded = phone(here.keeper).progress;
    expect(await reloaded.ofDevice()).toEqual({ ticks: 2 });
    expect(await reloaded.ofServer()).toBeUndefined();
    await clock.pass(10_000);
    expect(server.has?.body).toEqual({ ticks: 2 });
  });

  it('what is done while the server is asked is not taken back by its answer', async () => {
    const { phone, server } = bench();
    server.has = { at: '2030-01-01T00:00:00.000Z', body: { ticks: 9 } };
    const { progress } = phone();
    await progress.ofDevice();
    const asked = progress.ofServer();
    progress.keep({ ticks: 1 });
    expect(await asked).toBeUndefined();
  });

  it('a finished card is finished everywhere', async () => {
    const { clock, phone } = bench();
    const first = phone();
    first.progress.keep({ ticks: 3 });
    await clock.pass(1_000);
    first.progress.keep(undefined);
    await clock.pass(1_000);
    const second = phone();
    await second.progress.ofDevice();
    expect(await second.progress.ofServer()).toEqual({ body: undefined });
  });

  it('a full store is said; what was kept of something else is not shown', async () => {
    const { phone } = bench();
    const { progress, keeper, warnings } = phone();
    await keeper.put('progress/run/card main.a', { at: '2026-11-01T00:00:00.000Z', body: { spoilt: true } });
    expect(await progress.ofDevice()).toBeUndefined();
    keeper.trouble = 'full';
    progress.keep({ ticks: 1 });
    await settled();
    expect(warnings.join()).toContain('no room left');
  });

  it('leaving the screen sends what waits at once', async () => {
    const { phone, server } = bench();
    const { progress } = phone();
    progress.keep({ ticks: 7 });
    progress.flush();
    await settled();
    expect(server.has?.body).toEqual({ ticks: 7 });
  });
});
