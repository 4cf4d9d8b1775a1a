import { applyChange, threeWay, type Change, type Design } from '@kobran/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aRun } from '../../../core/src/run/aRun.fixture.js';
import {
  DocumentEditor,
  type Draft,
  type Saving,
  type Versioned as VersionedDocument,
} from './documentEditor.js';
import { FakeClock } from './fakes.fixture.js';

type Versioned = VersionedDocument<Design>;

const named = (name: string): Design => ({ ...aRun(), name });
const rename = (name: string) => [{ op: 'set name' as const, name }];

/** A server with versions, which may be away or refuse. */
class FakeServer {
  mood: 'well' | 'away' | 'loses answers' | 'refuses' = 'well';
  writes = 0;
  constructor(public standing: Versioned) {}

  readonly save = ({ version, document }: Versioned): Promise<Saving<Design>> => {
    if (this.mood === 'away') return Promise.resolve({ kind: 'away' });
    if (this.mood === 'refuses')
      return Promise.resolve({
        kind: 'refused',
        problem: { code: 'x', message: 'No.', where: 'design', remedy: 'Mend it.' },
      });
    if (version !== this.standing.version)
      return Promise.resolve({ kind: 'conflict', theirs: this.standing });
    this.writes++;
    this.standing = { version: version + 1, document };
    if (this.mood === 'loses answers') return Promise.resolve({ kind: 'away' });
    return Promise.resolve({ kind: 'saved', saved: this.standing });
  };
}

function open(draft?: Draft<Design>) {
  const clock = new FakeClock();
  const server = new FakeServer({ version: 3, document: named('as it was') });
  const kept: { draft?: Draft<Design> } = {};
  let merges = 0;
  const editor = new DocumentEditor<Design, Change>(server.standing, draft, {
    apply: applyChange,
    save: server.save,
    later: clock.later,
    merge: threeWay,
    tellMerged: () => merges++,
    keepDraft: (one) => {
      kept.draft = one;
    },
  });
  editor.start();
  /** Somebody else saves the document with another member changed. */
  const elsewhere = (over: Partial<Design>): void => {
    const { version, document } = server.standing;
    server.standing = { version: version + 1, document: { ...document, ...over } };
  };
  return {
    clock,
    server,
    editor,
    kept,
    elsewhere,
    merges: () => merges,
    name: () => editor.snapshot().document.name,
  };
}

describe('a design under edit', () => {
  it('is shown at once, kept on the device, and written after a pause', async () => {
    const { clock, server, editor, kept, name } = open();
    editor.change(rename('new'));
    expect(name()).toBe('new');
    expect(editor.snapshot().save.kind).toBe('saving');
    expect(kept.draft).toMatchObject({ version: 3, document: { name: 'new' } });
    expect(server.writes).toBe(0);
    await clock.pass(500);
    expect(server.standing).toMatchObject({ version: 4, document: { name: 'new' } });
    expect(editor.snapshot().save.kind).toBe('saved');
    expect(kept.draft).toBeUndefined();
  });

  it('quick edits are one write, and one made while it is under way is the next', async () => {
    const { clock, server, editor } = open();
    for (const k of [1, 2, 3]) editor.change(rename(`edit ${k}`));
    await clock.pass(500);
    expect(server.writes).toBe(1);
    editor.change(rename('later'));
    await clock.pass(500);
    expect(server.writes).toBe(2);
    expect(server.standing.document.name).toBe('later');
  });

  it('is tried again until the server is back; the draft stays meanwhile', async () => {
    const { clock, server, editor, kept } = open();
    server.mood = 'away';
    editor.change(rename('in the dark'));
    await clock.pass(1_000);
    expect(editor.snapshot().save.kind).toBe('offline');
    expect(kept.draft?.document.name).toBe('in the dark');
    server.mood = 'well';
    await clock.pass(3_000);
    expect(server.standing.document.name).toBe('in the dark');
    expect(editor.snapshot().save.kind).toBe('saved');
  });

  it('an answer lost on the way is not taken for a change by somebody else', async () => {
    const { clock, server, editor, kept } = open();
    server.mood = 'loses answers';
    editor.change(rename('arrived'));
    await clock.pass(500);
    expect([server.standing.document.name, editor.snapshot().save.kind]).toEqual(['arrived', 'offline']);
    editor.undo();
    expect(kept.draft?.document.name).toBe('as it was');
    server.mood = 'well';
    await clock.pass(10_000);
    expect(server.standing).toMatchObject({ version: 5, document: { name: 'as it was' } });
    expect(editor.snapshot().save.kind).toBe('saved');
    expect(kept.draft).toBeUndefined();
  });

  it('a draft of before is shown and written; undo leads to what the server has', async () => {
    const { clock, server, editor, name } = open({ version: 3, document: named('from before') });
    expect(name()).toBe('from before');
    await clock.pass(500);
    expect(server.standing.document.name).toBe('from before');
    editor.undo();
    expect(name()).toBe('as it was');
  });

  it('a draft on an older version asks, and nothing is written before somebody decides', async () => {
    const { clock, server, editor, name } = open({ version: 2, document: named('mine') });
    await clock.pass(500);
    expect(editor.snapshot().save.kind).toBe('conflict');
    await clock.pass(60_000);
    expect(server.writes).toBe(0);
    editor.takeTheirs();
    expect(name()).toBe('as it was');
    editor.undo();
    expect(name()).toBe('mine');
    await clock.pass(500);
    expect(server.standing).toMatchObject({ version: 4, document: { name: 'mine' } });
  });

  it('mine is written over theirs when that is chosen', async () => {
    const { clock, server, editor } = open({ version: 2, document: named('mine') });
    await clock.pass(500);
    editor.keepMine();
    await clock.pass(500);
    expect(server.standing).toMatchObject({ version: 4, document: { name: 'mine' } });
    expect(editor.snapshot().save.kind).toBe('saved');
  });

  it('what somebody else changed beside it goes in by itself; undo takes it out again', async () => {
    const { clock, server, editor, elsewhere, merges, name } = open();
    editor.change(rename('mine'));
    const antenna = { ...aRun().antenna, swr: 1.1 };
    elsewhere({ antenna });
    await clock.pass(2_000);
    expect(server.standing).toMatchObject({ version: 5, document: { name: 'mine', antenna: { swr: 1.1 } } });
    expect(merges()).toBe(1);
    editor.undo();
    expect(editor.snapshot().document.antenna.swr).toBe(aRun().antenna.swr);
    expect(name()).toBe('mine');
  });

  it('only where both changed the same a person is asked, and what is apart is in either way', async () => {
    for (const side of ['mine', 'theirs'] as const) {
      const { clock, server, editor, elsewhere } = open();
      editor.change(rename('mine'));
      elsewhere({ name: 'theirs', antenna: { ...aRun().antenna, swr: 1.1 } });
      await clock.pass(2_000);
      expect(editor.snapshot().save).toMatchObject({
        kind: 'conflict',
        clashes: [{ path: ['name'], mine: 'mine', theirs: 'theirs', base: 'as it was' }],
      });
      if (side === 'mine') editor.keepMine();
      else editor.takeTheirs();
      await clock.pass(2_000);
      expect(server.standing.document).toMatchObject({ name: side, antenna: { swr: 1.1 } });
    }
  });

  it('a draft says what it was made on, so that it is put together after a reload too', async () => {
    const { clock, server, kept, editor } = open();
    server.mood = 'away';
    editor.change(rename('in the dark'));
    await clock.pass(2_000);
    const again = open(kept.draft);
    again.elsewhere({ antenna: { ...aRun().antenna, swr: 1.1 } });
    await again.clock.pass(2_000);
    expect(again.server.standing.document).toMatchObject({ name: 'in the dark', antenna: { swr: 1.1 } });
  });

  it('one that is refused stays here and is not sent again until it is changed', async () => {
    const { clock, server, editor, kept } = open();
    server.mood = 'refuses';
    editor.change(rename('wrong'));
    await clock.pass(500);
    expect(editor.snapshot().save).toMatchObject({ kind: 'refused', problem: { remedy: 'Mend it.' } });
    expect(kept.draft?.document.name).toBe('wrong');
    server.mood = 'well';
    await clock.pass(60_000);
    expect(server.writes).toBe(0);
    editor.change(rename('right'));
    await clock.pass(500);
    expect(server.standing.document.name).toBe('right');
  });

  it('what others saved is taken over when nothing here is unsaved, else it waits for the conflict', () => {
    const { editor, name } = open();
    editor.serverHas({ version: 4, document: named('theirs') });
    expect(name()).toBe('theirs');
    editor.change(rename('mine'));
    editor.serverHas({ version: 5, document: named('theirs again') });
    expect(name()).toBe('mine');
    editor.serverHas({ version: 1, document: named('old news') });
    expect(name()).toBe('mine');
  });

  it('a stopped editor writes nothing, and goes on when it is started', async () => {
    const { clock, server, editor } = open();
    editor.change(rename('left'));
    editor.stop();
    await clock.pass(60_000);
    expect(server.writes).toBe(0);
    editor.start();
    await clock.pass(500);
    expect(server.writes).toBe(1);
  });

  // A law: after the last pause the server has what the screen shows, whatever came between.
  it('ends with the server having what is shown', async () => {
    const step = fc.constantFrom('edit', 'undo', 'redo', 'away', 'loses answers', 'back', 'wait');
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 30 }), async (steps) => {
        const { clock, server, editor } = open();
        for (const [k, what] of steps.entries()) {
          if (what === 'edit') editor.change(rename(`edit ${k}`));
          else if (what === 'undo') editor.undo();
          else if (what === 'redo') editor.redo();
          else if (what === 'wait') await clock.pass(3_000);
          else server.mood = what === 'back' ? 'well' : what;
        }
        server.mood = 'well';
        await clock.pass(10_000);
        expect(server.standing.document).toEqual(editor.snapshot().document);
        expect(editor.snapshot().save.kind).toBe('saved');
      }),
      { numRuns: 100 },
    );
  });

  // A law: three who were away for a day come back one after the other, and nothing of what any of them did is lost.
  it('two phones and a laptop away for a day are put together with nothing lost', async () => {
    interface Doc {
      pieces: { id: string; label: string; lengthM: number }[];
    }
    const standing: Doc = { pieces: ['a', 'b', 'c'].map((id) => ({ id, label: id, lengthM: 1 })) };
    const edit = fc.record({
      who: fc.nat(2),
      what: fc.constantFrom('length', 'label', 'put in'),
      value: fc.integer({ min: 2, max: 1_000 }),
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(edit, { maxLength: 40 }),
        fc.shuffledSubarray([0, 1, 2], { minLength: 3 }),
        async (edits, back) => {
          const clock = new FakeClock();
          let kept = { version: 1, document: standing };
          const away = new Set([0, 1, 2]);
          const crew = [0, 1, 2].map((who) => {
            const editor = new DocumentEditor<Doc, (doc: Doc) => Doc>(kept, undefined, {
              apply: (doc, change) => change(doc),
              save: ({ version, document }) => {
                if (away.has(who)) return Promise.resolve({ kind: 'away' });
                if (version !== kept.version) return Promise.resolve({ kind: 'conflict', theirs: kept });
                kept = { version: version + 1, document };
                return Promise.resolve({ kind: 'saved', saved: kept });
              },
              merge: threeWay,
              tellMerged: () => undefined,
              keepDraft: () => undefined,
              later: clock.later,
            });
            editor.start();
            return editor;
          });
          for (const [k, { who, what, value }] of edits.entries())
            crew[who].change([
              ({ pieces }) => ({
                pieces:
                  what === 'put in'
                    ? pieces.toSpliced(value % (pieces.length + 1), 0, {
                        id: `${who}-${k}`,
                        label: '',
                        lengthM: value,
                      })
                    : pieces.map((one) =>
                        one.id !== 'abc'[who]
                          ? one
                          : { ...one, ...(what === 'length' ? { lengthM: value } : { label: `l${value}` }) },
                      ),
              }),
            ]);
          for (const who of back) {
            away.delete(who);
            await clock.pass(20_000);
          }
          const last = (who: number, what: string) =>
            edits.filter((one) => one.who === who && one.what === what).at(-1);
          for (const who of [0, 1, 2]) {
            const own = kept.document.pieces.find(({ id }) => id === 'abc'[who]);
            expect(own?.lengthM).toBe(last(who, 'length')?.value ?? 1);
            const label = last(who, 'label');
            expect(own?.label).toBe(label ? `l${label.value}` : 'abc'[who]);
          }
          const put = edits.flatMap(({ who, what }, k) => (what === 'put in' ? [`${who}-${k}`] : []));
          const there = kept.document.pieces.map(({ id }) => id);
          expect(there.toSorted()).toEqual(['a', 'b', 'c', ...put].toSorted());
        },
      ),
      { numRuns: 60 },
    );
  });
});
