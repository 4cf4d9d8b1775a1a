import { readParcel } from './readParcel.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FakeBrowser, FakeClock, settled } from './fakes.fixture.js';
import { OUTBOX } from './kept/keys.js';
import { Outbox, type Delivery, type Parcel } from './outbox.js';

const RUN = '7a0e1d00-0000-4000-8000-00000000a001';
const uuid = (k: number): string => `00000000-0000-4000-8000-${String(k).padStart(12, '0')}`;
const note = (k: number, text = `note ${k}`): Parcel => ({
  runId: RUN,
  kind: 'fact',
  body: {
    id: uuid(k),
    kind: 'note',
    about: '',
    text,
    by: 'Wenna',
    at: new Date(1e12 + k * 1000).toISOString(),
  },
});

/** A server which may be away, fail or refuse, and keeps what it gets once for each id. */
class FakeServer {
  readonly kept: string[] = [];
  answer: (parcel: Parcel) => Delivery = () => ({ kind: 'done' });

  readonly deliver = (parcel: Parcel): Promise<Delivery> => {
    const delivery = this.answer(parcel);
    if (delivery.kind === 'done' && !this.kept.includes(parcel.body.id)) this.kept.push(parcel.body.id);
    return Promise.resolve(delivery);
  };
}

function world() {
  const [browser, clock, server] = [new FakeBrowser(), new FakeClock(), new FakeServer()];
  const warnings: string[] = [];
  /** What each tab has read from the server. */
  const shown = new Map<string, string[]>();
  const tab = async (name: string): Promise<Outbox> => {
    const outbox = new Outbox({
      keeper: browser.keeper,
      tabs: browser.open(name),
      later: clock.later,
      deliver: server.deliver,
      arrived: (runId) => {
        expect(runId).toBe(RUN);
        shown.set(name, [...server.kept]);
        return Promise.resolve();
      },
      check: (value) => Promise.resolve(readParcel(value)),
      warn: (message) => warnings.push(message),
    });
    await outbox.start();
    return outbox;
  };
  return { browser, clock, server, warnings, tab, shown };
}
const away = (): Delivery => ({ kind: 'away' });
const texts = (outbox: Outbox): string[] =>
  outbox.snapshot().waiting.map(({ body }) => ('text' in body ? body.text : ''));

describe('facts on their way to the server', () => {
  it('go at once, in order, and are gone from the device then', async () => {
    const { tab, server, clock, browser } = world();
    const outbox = await tab('one');
    for (const k of [1, 2, 3]) await outbox.put(note(k));
    await clock.pass(0);
    expect(server.kept).toEqual([uuid(1), uuid(2), uuid(3)]);
    expect(outbox.snapshot().waiting).toEqual([]);
    expect(await browser.keeper.entries(OUTBOX)).toEqual([]);
  });

  it('two tabs without a server both write, both are reloaded: everything arrives once', async () => {
    const { tab, server, clock, browser } = world();
    server.answer = away;
    const [one, two] = [await tab('one'), await tab('two')];
    await Promise.all([one.put(note(1)), two.put(note(2)), one.put(note(3)), two.put(note(4))]);
    await clock.pass(0);
    for (const [name, outbox] of Object.entries({ one, two })) {
      outbox.stop();
      browser.close(name);
    }
    const [again, other] = [await tab('one again'), await tab('two again')];
    for (const outbox of [again, other])
      expect(texts(outbox)).toEqual(['note 1', 'note 2', 'note 3', 'note 4']);
    server.answer = () => ({ kind: 'done' });
    await clock.pass(10_000);
    expect(server.kept.toSorted()).toEqual([1, 2, 3, 4].map(uuid));
    for (const outbox of [again, other]) expect(outbox.snapshot().waiting).toEqual([]);
  });

  it('what one tab writes the other shows', async () => {
    const { tab, server } = world();
    server.answer = away;
    const [one, two] = [await tab('one'), await tab('two')];
    await one.put(note(1));
    await settled();
    expect(texts(two)).toEqual(['note 1']);
  });

  it('what one tab sends is read by all tabs, also by one that has not seen it wait', async () => {
    const { tab, server, clock, shown, browser } = world();
    server.answer = away;
    const one = await tab('one');
    await one.put(note(1));
    // The first has sent it, but the second opens before it is gone from the store.
    const two = await tab('two');
    server.answer = () => ({ kind: 'done' });
    await clock.pass(3_000);
    expect(await browser.keeper.entries(OUTBOX)).toEqual([]);
    for (const outbox of [one, two]) expect(outbox.snapshot().waiting).toEqual([]);
    expect(shown).toEqual(new Map(['one', 'two'].map((name) => [name, [uuid(1)]])));
  });

  it('what a tab wrote before it was closed is sent by another', async () => {
    const { tab, server, clock, browser } = world();
    server.answer = away;
    const [one, two] = [await tab('one'), await tab('two')];
    await clock.pass(0);
    await one.put(note(1));
    await settled();
    one.stop();
    browser.close('one');
    server.answer = () => ({ kind: 'done' });
    await clock.pass(10_000);
    expect(server.kept).toEqual([uuid(1)]);
    expect(two.snapshot().waiting).toEqual([]);
  });

  it('one which the server refuses is set aside with the reason, and the others go on', async () => {
    const { tab, server, clock, warnings } = world();
    server.answer = ({ body }) =>
      body.id === uuid(2)
        ? {
            kind: 'refused',
            problem: {
              code: 'run.not-found',
              message: 'There is no run.',
              where: 'path',
              remedy: 'Restore.',
            },
          }
        : { kind: 'done' };
    const outbox = await tab('one');
    for (const k of [1, 2, 3]) await outbox.put(note(k));
    await clock.pass(0);
    expect(server.kept).toEqual([uuid(1), uuid(3)]);
    const [aside] = outbox.snapshot().aside;
    expect(aside.why).toBe('There is no run. Restore.');
    expect(warnings.some((message) => message.includes('set aside'))).toBe(true);

    server.answer = () => ({ kind: 'done' });
    await outbox.retry(aside);
    await clock.pass(0);
    expect(server.kept).toEqual([uuid(1), uuid(3), uuid(2)]);
    expect(outbox.snapshot()).toEqual({ waiting: [], aside: [] });
  });

  it('what waits for one who does not come back is set aside when asked, and what others did goes on waiting', async () => {
    const { tab, server, clock } = world();
    server.answer = () => ({ kind: 'failed' });
    const outbox = await tab('one');
    const of = (k: number, by: string) => {
      const one = note(k);
      return { ...one, body: { ...one.body, by } } as typeof one;
    };
    for (const one of [of(1, 'Joss'), of(2, 'Wenna'), of(3, 'Joss')]) await outbox.put(one);
    await clock.pass(0);
    await outbox.setAsideOf('Joss');
    expect(outbox.snapshot().waiting.map(({ body }) => body.id)).toEqual([uuid(2)]);
    expect(outbox.snapshot().aside.map(({ parcel }) => parcel?.body.id)).toEqual([uuid(1), uuid(3)]);

    // Wenna takes one of them over; nothing of it is changed but who answers for it.
    server.answer = ({ body }) =>
      'by' in body && body.by === 'Wenna' ? { kind: 'done' } : { kind: 'failed' };
    const [first] = outbox.snapshot().aside;
    await outbox.retry({ ...first, parcel: of(1, 'Wenna') });
    await clock.pass(10_000);
    expect(server.kept).toEqual([uuid(1), uuid(2)]);
    expect((await tab('again')).snapshot().aside.map(({ parcel }) => parcel?.body.id)).toEqual([uuid(3)]);
  });

  it('one at which the server fails does not hold up those behind it, and is tried again', async () => {
    const { tab, server, clock } = world();
    server.answer = ({ body }) => ({ kind: body.id === uuid(1) ? 'failed' : 'done' });
    const outbox = await tab('one');
    for (const k of [1, 2]) await outbox.put(note(k));
    await clock.pass(0);
    expect(server.kept).toEqual([uuid(2)]);
    expect(texts(outbox)).toEqual(['note 1']);
    server.answer = () => ({ kind: 'done' });
    await clock.pass(3_000);
    expect(server.kept).toEqual([uuid(2), uuid(1)]);
  });

  it('a full store is said, nothing is dropped, and what is in memory is sent all the same', async () => {
    const { tab, server, clock, browser, warnings } = world();
    server.answer = away;
    const outbox = await tab('one');
    browser.keeper.trouble = 'full';
    await outbox.put(note(1));
    expect(texts(outbox)).toEqual(['note 1']);
    expect(warnings.join()).toContain('no room left');
    server.answer = () => ({ kind: 'done' });
    await clock.pass(3_000);
    expect(server.kept).toEqual([uuid(1)]);
    expect(outbox.snapshot().waiting).toEqual([]);
  });

  it('a spoilt entry is set aside with a message, and the rest works', async () => {
    const { tab, server, clock, browser, warnings } = world();
    await browser.keeper.put(`${OUTBOX}a`, 'half a te');
    await browser.keeper.put(`${OUTBOX}b`, { runId: RUN, kind: 'fact', body: { kind: 'gossip' } });
    const outbox = await tab('one');
    await outbox.put(note(1));
    await clock.pass(0);
    expect(server.kept).toEqual([uuid(1)]);
    expect(outbox.snapshot().aside.map(({ why }) => why)).toEqual([
      'It names no run.',
      '“gossip” is not a kind of fact.',
    ]);
    expect(warnings).toHaveLength(2);
    await outbox.discard(outbox.snapshot().aside[0]);
    expect(outbox.snapshot().aside).toHaveLength(1);
  });

  it('what is no parcel is set aside too, by its name, and outlives a reload', async () => {
    const { tab } = world();
    const first = await tab('one');
    await first.setAside('practice/job/1', { what: 'A change', value: { spares: -1 }, why: 'Below 0.' });
    first.stop();
    const [kept] = (await tab('again')).snapshot().aside;
    expect(kept).toMatchObject({ what: 'A change', why: 'Below 0.', value: { value: { spares: -1 } } });
  });

  // A law: whatever tabs do and however often the server goes away, each fact arrives, and none twice.
  it('nothing is lost and nothing comes twice, whatever happens', async () => {
    const step = fc.oneof(
      fc.record({ what: fc.constant('put' as const), tab: fc.nat(2) }),
      fc.record({ what: fc.constant('away' as const), tab: fc.nat(2) }),
      fc.record({ what: fc.constant('back' as const), tab: fc.nat(2) }),
      fc.record({ what: fc.constant('reload' as const), tab: fc.nat(2) }),
      fc.record({ what: fc.constant('wait' as const), tab: fc.nat(2) }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 25 }), async (steps) => {
        const { tab, server, clock, browser } = world();
        const tabs = [await tab('0'), await tab('1'), await tab('2')];
        let written = 0;
        for (const { what, tab: k } of steps) {
          if (what === 'put') await tabs[k].put(note(++written));
          else if (what === 'away') server.answer = away;
          else if (what === 'back') server.answer = () => ({ kind: 'done' });
          else if (what === 'wait') await clock.pass(1_000);
          else {
            tabs[k].stop();
            browser.close(String(k));
            tabs[k] = await tab(String(k));
          }
        }
        server.answer = () => ({ kind: 'done' });
        await clock.pass(20_000);
        expect(server.kept.toSorted()).toEqual(Array.from({ length: written }, (_, k) => uuid(k + 1)));
        for (const outbox of tabs) expect(outbox.snapshot().waiting).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });
});
